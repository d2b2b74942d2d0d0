<?php

declare(strict_types=1);

namespace App\Harvest;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\Spray;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of a treatment, waiting times from its label. */
final class SprayData
{
    private const LONG = 'At most {{ limit }} characters fit here.';

    #[Assert\NotBlank(message: 'Please write the beds, such as A1 to A4.')]
    public string $beds = '';
    #[Assert\NotBlank(message: 'Please write the product as it stands on its label.')]
    #[Assert\Length(max: 120, maxMessage: self::LONG)]
    public string $product = '';
    #[Assert\NotNull(message: 'Please write the days from the label; 0 where it asks for none.')]
    public ?int $wait = null;
    #[Assert\NotNull(message: 'Please write the days from the label; 0 where it asks for none.')]
    public ?int $reentry = null;
    #[Assert\Length(max: 60, maxMessage: self::LONG)]
    public string $mode = '';
    #[Assert\Length(max: 60, maxMessage: self::LONG)]
    public string $who = '';
    #[Assert\Length(max: 80, maxMessage: self::LONG)]
    public string $licence = '';
    #[Assert\Length(max: 400, maxMessage: self::LONG)]
    public string $words = '';
    public ?Day $day = null;

    /** @param list<string> $beds */
    public function spray(string $key, array $beds, Garden $garden): Spray
    {
        return new Spray($key, $this->day ?? $garden->today, $beds, $this->product, $this->wait ?? 0, $this->reentry ?? 0, $this->mode,
            $this->who, $this->licence, $this->words);
    }
}
