<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

use JollyFurrow\Crop\SpacingSchool;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\InvalidMonthDay;
use JollyFurrow\Time\YearWindow;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\SourceKind;

/** The values of one crop as they stand in the book, read with their limits. */
final readonly class BookValues
{
    /** @param array<string, array{is: string, source: string, note: string}> $values */
    public function __construct(private string $crop, private array $values)
    {
    }

    public function text(string $name): string
    {
        $is = trim($this->values[$name]['is'] ?? '');

        return '' !== $is ? $is : throw BookFault::missing($this->crop, $name);
    }

    public function words(string $name, int $longest): string
    {
        $is = $this->text($name);

        return mb_strlen($is) <= $longest ? $is : throw BookFault::wrong($this->crop, $name, $is, \sprintf('at most %d letters fit here', $longest));
    }

    public function has(string $name): bool
    {
        return '' !== trim($this->values[$name]['is'] ?? '');
    }

    public function int(string $name, int $least, int $most): int
    {
        $is = $this->text($name);
        if (1 !== preg_match('/^\d+$/', $is) || (int) $is < $least || (int) $is > $most) {
            throw BookFault::wrong($this->crop, $name, $is, \sprintf('it is a whole number from %d to %d', $least, $most));
        }

        return (int) $is;
    }

    public function optionalInt(string $name, int $least, int $most): ?int
    {
        return $this->has($name) ? $this->int($name, $least, $most) : null;
    }

    public function float(string $name, float $least, float $most): float
    {
        $is = $this->text($name);
        if (!is_numeric($is) || (float) $is < $least || (float) $is > $most) {
            throw BookFault::wrong($this->crop, $name, $is, \sprintf('it is a number from %s to %s', $least, $most));
        }

        return (float) $is;
    }

    public function optionalFloat(string $name, float $least, float $most): ?float
    {
        return $this->has($name) ? $this->float($name, $least, $most) : null;
    }

    public function wrong(string $name, string $wanted): BookFault
    {
        return BookFault::wrong($this->crop, $name, $this->text($name), $wanted);
    }

    public function yes(string $name): bool
    {
        return match ($this->text($name)) {
            'yes' => true,
            'no' => false,
            default => throw BookFault::wrong($this->crop, $name, $this->text($name), 'it is yes or no'),
        };
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     */
    public function choice(string $name, string $enum): \BackedEnum
    {
        return $enum::tryFrom($this->text($name)) ?? throw BookFault::wrong($this->crop, $name, $this->text($name), 'it is one of '.implode(', ', array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases())));
    }

    /** @param list<string> $allowed */
    public function oneOf(string $name, array $allowed): string
    {
        return \in_array($this->text($name), $allowed, true) ? $this->text($name) : throw BookFault::wrong($this->crop, $name, $this->text($name), 'it is one of '.implode(', ', $allowed));
    }

    /**
     * "10:7.0 15:3.9": values by whole degrees, rising.
     *
     * @return non-empty-array<int, float>
     */
    public function table(string $name, float $least, float $most): array
    {
        $table = [];
        $before = \PHP_INT_MIN;
        foreach (preg_split('/\s+/', $this->text($name)) ?: [] as $pair) {
            if (1 !== preg_match('/^(-?\d{1,2}):(\d+(?:\.\d+)?)$/', $pair, $m) || (int) $m[1] <= $before || (float) $m[2] < $least
                || (float) $m[2] > $most) {
                throw BookFault::wrong($this->crop, $name, $pair, \sprintf('it is degrees:days such as 10:7.0, degrees rising, days from %s to %s', $least, $most));
            }
            $table[$before = (int) $m[1]] = (float) $m[2];
        }

        return \count($table) > 1 ? $table : throw BookFault::wrong($this->crop, $name, $this->text($name), 'it has two temperatures at least');
    }

    /**
     * "6.0..7.0".
     *
     * @return array{float, float}
     */
    public function range(string $name, float $least, float $most): array
    {
        if (1 !== preg_match('/^(\d+(?:\.\d+)?)\.\.(\d+(?:\.\d+)?)$/', $this->text($name), $m) || (float) $m[1] < $least
            || (float) $m[2] > $most || (float) $m[1] > (float) $m[2]) {
            throw BookFault::wrong($this->crop, $name, $this->text($name), \sprintf('it is a range such as 6.0..7.0, rising, from %s to %s', $least, $most));
        }

        return [(float) $m[1], (float) $m[2]];
    }

    /** "2x45": rows and distance in the row in cm. */
    public function spacing(string $name): SpacingSchool
    {
        if (1 !== preg_match('/^(\d{1,2})x(\d{1,3}(?:\.\d)?)$/', $this->text($name), $m) || (int) $m[1] < 1 || (int) $m[1] > 20
            || (float) $m[2] < 0.5) {
            throw BookFault::wrong($this->crop, $name, $this->text($name), 'it is rows x cm in the row, such as 2x45');
        }

        return new SpacingSchool((int) $m[1], Length::fromCentimetres((float) $m[2]));
    }

    /**
     * @param list<string> $allowed
     *
     * @return non-empty-list<string>
     */
    public function several(string $name, array $allowed): array
    {
        $words = preg_split('/\s+/', $this->text($name)) ?: [];
        $words = [] === $words ? [$this->text($name)] : $words;
        foreach ($words as $word) {
            if (!\in_array($word, $allowed, true)) {
                throw BookFault::wrong($this->crop, $name, $word, 'it is one or more of '.implode(', ', $allowed));
            }
        }

        return $words;
    }

    /**
     * "14 28".
     *
     * @return list<int>
     */
    public function ints(string $name, int $least, int $most): array
    {
        $numbers = [];
        foreach ($this->has($name) ? preg_split('/\s+/', $this->text($name)) ?: [] : [] as $number) {
            if (1 !== preg_match('/^\d{1,4}$/', $number) || (int) $number < $least || (int) $number > $most) {
                throw BookFault::wrong($this->crop, $name, $number, \sprintf('it is whole numbers from %d to %d, such as 14 28', $least, $most));
            }
            $numbers[] = (int) $number;
        }

        return $numbers;
    }

    public function window(string $name): ?YearWindow
    {
        if (!$this->has($name)) {
            return null;
        }
        try {
            return YearWindow::parse($this->text($name));
        } catch (InvalidMonthDay) {
            throw BookFault::wrong($this->crop, $name, $this->text($name), 'it is a window such as 15 Mar to 20 Jul');
        }
    }

    /** @return array<string, Source> */
    public function sources(): array
    {
        $sources = [];
        foreach ($this->values as $name => $value) {
            $kind = SourceKind::tryFrom($value['source']);
            $needsNote = SourceKind::Published === $kind || SourceKind::FromMemory === $kind;
            if (null === $kind || ($needsNote && '' === $value['note'])) {
                throw BookFault::noSource($this->crop, $name);
            }
            $sources[$name] = Source::of($kind, $value['note']);
        }

        return $sources;
    }
}
