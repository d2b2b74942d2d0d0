<?php

declare(strict_types=1);

namespace App\Hands;

use JollyFurrow\Diary\OwnCare;
use JollyFurrow\Work\CarePoint;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of care by one's own rule. */
final class OwnCareData
{
    #[Assert\NotBlank(message: 'Please choose a crop.')]
    public string $crop = '';
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 80, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $words = '';
    public CarePoint $from = CarePoint::Ground;
    public int $after = 14;
    public ?int $every = null;
    public bool $goesOn = false;
    public int $minutes = 30;
    public ?float $threshold = null;

    /** @param float $bed metres the minutes are for */
    public function care(string $key, float $bed): OwnCare
    {
        return new OwnCare($key, $this->crop, $this->words, $this->from->value, $this->after, $this->every, $this->goesOn,
            round($this->minutes / 60 * 100 / $bed, 3), $this->threshold);
    }
}
