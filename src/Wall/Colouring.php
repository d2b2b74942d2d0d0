<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\Product;
use JollyFurrow\Shelter\PlaceType;

/** The class and the glyph a planting is drawn with: never one without the other. */
final readonly class Colouring
{
    /** @var array<string, array<string, array{string, string}>> by colour: css class => glyph and word */
    private const MARKS = [
        'state' => ['is-planned' => ['○', 'planned'], 'is-nursery' => ['△', 'in the nursery'], 'is-growing' => ['◐', 'growing'],
            'is-ready' => ['●', 'ready'], 'is-over' => ['–', 'over']],
        'problem' => ['is-barred' => ['✕', 'may not be'], 'is-late' => ['◷', 'late'], 'is-bent' => ['!', 'a rule bent'],
            'is-fine' => ['·', 'nothing']],
        'product' => ['is-for' => ['●', 'for it'], 'is-other' => ['○', 'for another'], 'is-unsold' => ['·', 'for none']],
        'place' => ['is-field' => ['▭', 'open field'], 'is-tunnel' => ['∩', 'unheated tunnel'], 'is-heated' => ['♨', 'heated']],
    ];

    /**
     * @param array<string, bool> $conflicts planting => whether it may not be at all
     * @param array<string, bool> $wanted    item => true: it goes into the product
     * @param array<string, bool> $sold      item => true: it goes into some product
     */
    private function __construct(public Colour $colour, private Garden $garden, private array $conflicts, private array $wanted,
        private array $sold)
    {
    }

    public static function of(Colour $colour, Garden $garden, CropBook $book, ?Product $product = null): self
    {
        $conflicts = [];
        foreach (Colour::Problem === $colour ? (new Conflicts($book))->of($garden, self::open($garden)) : [] as $conflict) {
            $conflicts[$conflict->planting] = ($conflicts[$conflict->planting] ?? false) || $conflict->isHard();
        }
        $sold = [];
        foreach ($garden->products as $one) {
            $sold += array_fill_keys(array_column($one->parts, 'item'), true);
        }

        return new self($colour, $garden, $conflicts, array_fill_keys(array_column($product->parts ?? [], 'item'), true), $sold);
    }

    /** @return array{string, string} css class, glyph */
    public function mark(Planting $planting, Crop $crop): array
    {
        $css = match ($this->colour) {
            Colour::Family => Family::css($crop->family),
            Colour::State => $this->state($planting),
            Colour::Problem => $this->problem($planting),
            Colour::Product => isset($this->wanted[$planting->item]) ? 'is-for' : (isset($this->sold[$planting->item]) ? 'is-other'
                : 'is-unsold'),
            Colour::Place => match ($planting->place) {
                PlaceType::Field => 'is-field', PlaceType::Tunnel => 'is-tunnel', PlaceType::Heated => 'is-heated',
            },
        };

        return [$css, self::MARKS[$this->colour->value][$css][0] ?? Family::glyph($crop->family)];
    }

    /** @return list<array{css: string, glyph: string, word: string}> what there is to tell apart; families are told with the wall */
    public function legend(): array
    {
        $legend = [];
        foreach (self::MARKS[$this->colour->value] ?? [] as $css => [$glyph, $word]) {
            $legend[] = ['css' => $css, 'glyph' => $glyph, 'word' => $word];
        }

        return $legend;
    }

    private function state(Planting $planting): string
    {
        return match (true) {
            $planting->isOver($this->garden->today) => 'is-over',
            Standing::InNursery === $planting->standing => 'is-nursery',
            Standing::Planned === $planting->standing => 'is-planned',
            $planting->ready->isBefore($this->garden->today->plus(1)) => 'is-ready',
            default => 'is-growing',
        };
    }

    private function problem(Planting $planting): string
    {
        return match (true) {
            $this->conflicts[$planting->key] ?? false => 'is-barred',
            $planting->isLate($this->garden->today) => 'is-late',
            isset($this->conflicts[$planting->key]) || [] !== $planting->remarks => 'is-bent',
            default => 'is-fine',
        };
    }

    /** @return list<string> keys of what is not over */
    private static function open(Garden $garden): array
    {
        return array_map(static fn (Planting $p): string => $p->key,
            $garden->plantings->where(static fn (Planting $p): bool => !$p->isOver($garden->today))->all());
    }
}
