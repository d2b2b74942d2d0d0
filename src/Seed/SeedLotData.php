<?php

declare(strict_types=1);

namespace App\Seed;

use JollyFurrow\Diary\Dressing;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Share;
use JollyFurrow\Time\Day;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of a lot of seed. */
final class SeedLotData
{
    #[Assert\NotBlank(message: 'Please choose a variety.')]
    public string $variety = '';
    #[Assert\NotNull(message: 'Please write how much there is.')]
    public ?Mass $amount = null;
    #[Assert\NotNull(message: 'Please choose a day.')]
    public ?Day $counted = null;
    public ?int $year = null;
    public ?Share $germination = null;
    #[Assert\Length(max: 80, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $supplier = '';
    public ?Mass $packet = null;
    public ?Money $price = null;
    #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $setting = '';
    public Dressing $dressing = Dressing::None;

    public static function of(SeedLot $lot): self
    {
        $data = new self();
        $data->variety = $lot->variety;
        $data->amount = Mass::fromGrams($lot->grams);
        $data->counted = $lot->counted;
        $data->year = $lot->year;
        $data->germination = null === $lot->germination ? null : Share::of($lot->germination);
        $data->supplier = $lot->supplier;
        $data->packet = null === $lot->packet ? null : Mass::fromGrams($lot->packet);
        $data->price = null === $lot->cents ? null : Money::fromCents($lot->cents);
        $data->setting = $lot->setting;
        $data->dressing = $lot->dressing;

        return $data;
    }

    public function lot(string $key, Day $today): SeedLot
    {
        $packet = $this->packet?->grams;

        return new SeedLot($key, $this->variety, $this->amount->grams ?? 0.0, $this->counted ?? $today, $this->year ?? $today->year(),
            $this->germination?->value, $this->supplier, null !== $packet && $packet > 0.0 ? $packet : null, $this->price?->cents,
            $this->setting, $this->dressing);
    }
}
