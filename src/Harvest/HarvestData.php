<?php

declare(strict_types=1);

namespace App\Harvest;

use JollyFurrow\Measure\Goods;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Time\Day;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of a harvest. */
final class HarvestData
{
    private const MINUTES = 60;

    #[Assert\NotNull(message: 'Please write how much it was.')]
    public ?Goods $amount = null;
    /** On the scale, with what is weighed. */
    #[Assert\Range(notInRangeMessage: 'Please write crates from 0 to 100.', min: 0, max: 100)]
    public int $crates = 1;
    public Grade $grade = Grade::First;
    public HarvestUse $use = HarvestUse::Usual;
    /** Key of a place; empty: straight to market. */
    public string $place = '';
    public string $bed = '';
    public ?Day $day = null;
    #[Assert\Range(notInRangeMessage: 'Please write hours from 0 to 200.', min: 0, max: 200)]
    public ?float $hours = null;
    #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $who = '';
    /** @var list<Flaw> */
    public array $flaws = [];
    #[Assert\Length(max: 400, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $words = '';
    /** Nothing of it is left: the bed is clear. */
    public bool $isLast = false;

    public function lot(string $key, Planting $planting, Day $today): HarvestLot
    {
        return new HarvestLot($key, $this->day ?? $today, $planting->item, $planting->variety, $planting->key,
            '' === $this->bed ? $planting->pieces[0]->bed ?? '' : $this->bed, $this->grade,
            (int) round(100 * ($this->amount->units ?? 0.0)),
            null === $this->hours ? null : (int) round($this->hours * self::MINUTES), $this->who, array_values($this->flaws),
            Grade::Lost === $this->grade ? '' : $this->place, $this->words, $this->use);
    }
}
