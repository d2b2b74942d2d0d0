<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

/**
 * Own values that gardens kept when the book still told frost by stage and bolting by fixed limits: told as the book tells
 * them now, or kept as a note. Nothing a grower wrote is lost.
 */
final class OldValues
{
    private const FROST = 'frost_damage';
    private const NOTE = 'note_tolerance';
    /** What had no use without the others. */
    private const BOLTING = ['bolt_cold_days' => 'runs to seed after %s days below 7 °C',
        'bolt_day_hours' => 'runs to seed in days of %s hours',
        'bolt_heat_c' => 'runs to seed in a week of %s °C'];

    /**
     * @param list<OwnValue> $values
     *
     * @return list<OwnValue>
     */
    public static function told(array $values): array
    {
        $told = $noted = [];
        foreach ($values as $value) {
            if (self::FROST === $value->name) {
                $told = [...$told, ...self::frost($value)];
            } elseif (isset(self::BOLTING[$value->name])) {
                $noted[$value->crop][] = \sprintf(self::BOLTING[$value->name], $value->is);
            } elseif ('bolts' !== $value->name) {
                $told[] = $value;
            }
        }
        foreach ($noted as $crop => $notes) {
            $told = self::withNote($told, (string) $crop, implode('; ', $notes));
        }

        return $told;
    }

    /**
     * "seedling:-3 grown:-6 harvest:-4": what is harvested was damaged at the last, the plant at the one before.
     *
     * @return list<OwnValue>
     */
    private static function frost(OwnValue $value): array
    {
        $stages = [];
        foreach (preg_split('/\s+/', $value->is) ?: [] as $pair) {
            [$stage, $degrees] = explode(':', $pair.':');
            $stages[$stage] = is_numeric($degrees) ? $degrees : null;
        }
        $kill = $stages['grown'] ?? $stages['seedling'] ?? null;
        $hurt = $stages['harvest'] ?? null;

        return [
            ...(null === $kill ? [] : [new OwnValue($value->crop, 'kill_c', $kill, $value->note)]),
            ...(null === $hurt ? [] : [new OwnValue($value->crop, 'hurt_c', $hurt, $value->note)]),
        ];
    }

    /**
     * @param list<OwnValue> $values
     *
     * @return list<OwnValue>
     */
    private static function withNote(array $values, string $crop, string $note): array
    {
        foreach ($values as $n => $value) {
            if ($value->crop === $crop && self::NOTE === $value->name) {
                $values[$n] = new OwnValue($crop, self::NOTE, $value->is.' ('.$note.')', $value->note);

                return array_values($values);
            }
        }

        return [...$values, new OwnValue($crop, self::NOTE, ucfirst($note).'.')];
    }
}
