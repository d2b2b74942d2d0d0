<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\RecipeBook;

/** The same planting grown otherwise: another variety, sown or planted out, its bed made ready in another way. Days follow. */
final readonly class Otherwise
{
    private ByHand $byHand;

    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
        $this->byHand = new ByHand($book, $recipes);
    }

    /** @param string $variety key of a variety of the same crop */
    public function asVariety(Garden $garden, Planting $planting, string $variety): Planting
    {
        self::onlyPlanned($planting, 'variety');
        $crop = array_values(array_filter($this->book->varietiesOf($planting->item), static fn (Crop $c): bool => $c->key === $variety))[0]
            ?? throw CannotBeDone::of('variety', NotDone::NoSuchVariety);
        $method = \in_array($planting->method, $crop->methods(), true) ? $planting->method : $crop->methods()[0];

        return $this->byHand->follow($garden, $this->raised($planting, $crop, $method));
    }

    /** Sown in the bed or planted out, sown on the same day. */
    public function byMethod(Garden $garden, Planting $planting, Method $method): Planting
    {
        self::onlyPlanned($planting, 'method');
        $crop = $this->book->grown($planting->item, $planting->variety);
        if (!\in_array($method, $crop->methods(), true)) {
            throw CannotBeDone::of('method', NotDone::NotGrownSo, method: $method);
        }

        return $this->byHand->follow($garden, $this->raised($planting, $crop, $method));
    }

    /** Its bed made ready by another recipe: it is taken sooner or later for it, and ready on the same day. */
    public function prepared(Garden $garden, Planting $planting, string $recipe): Planting
    {
        if (!\in_array($planting->standing, [Standing::Planned, Standing::InNursery], true)) {
            throw CannotBeDone::of('recipe', NotDone::InTheGroundAlready);
        }
        if (!$this->recipes->has($recipe)) {
            throw CannotBeDone::of('recipe', NotDone::NoSuchRecipe);
        }
        $new = $planting->but(recipe: $recipe);
        $lead = (new Leads($garden))->daysFor($this->recipes->get($recipe), $new);

        return $new->but(dates: new Dates($planting->sow, $planting->ground, $planting->ground->plus(-$lead), $planting->ready,
            $planting->clear));
    }

    private static function onlyPlanned(Planting $planting, string $field): void
    {
        if (Standing::Planned !== $planting->standing) {
            throw CannotBeDone::of($field, NotDone::SownAlready);
        }
    }

    /** With the variety and the method, and days in the nursery or none; what they are is worked out after. */
    private function raised(Planting $planting, Crop $crop, Method $method): Planting
    {
        $ground = Method::Transplanted === $method ? $planting->sow->plus(max(1, $crop->timing->nurseryDays)) : $planting->sow;

        return new Planting($planting->key, $planting->item, $method, $planting->place, $planting->recipe, $planting->sow, $ground,
            $ground->plus($planting->bedStart->since($planting->ground)), $planting->ready, $planting->clear, $planting->perMetre,
            $planting->pieces, $planting->standing, $planting->locked, [], $planting->stand, $planting->left, $crop->key,
            $planting->harvest, $planting->careLeftOut);
    }
}
