<?php

declare(strict_types=1);

namespace App\Feed;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\SaltWay;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\SoilUnit;
use JollyFurrow\Soil\Texture;
use JollyFurrow\Time\Day;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of one soil test, or of a look with the spade. */
final class SoilTestData
{
    #[Assert\NotBlank(message: 'Please choose a bed or block.')]
    public string $place = '';
    #[Assert\NotNull(message: 'Please choose a day.')]
    public ?Day $day = null;
    public ?Length $depth = null;
    public ?float $ph = null;
    public ?float $organic = null;
    public ?float $p = null;
    public ?Extract $pBy = null;
    public ?float $k = null;
    public ?Extract $kBy = null;
    public SoilUnit $unit = SoilUnit::MgPerKg;
    public ?float $b = null;
    public ?float $salt = null;
    public ?SaltWay $saltBy = null;
    public ?Texture $texture = null;
    public ?int $worms = null;
    public ?Length $pan = null;
    #[Assert\Length(max: 400, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $words = '';

    public static function of(SoilTest $test): self
    {
        $data = new self();
        $data->place = '' === $test->bed ? $test->block : $test->bed;
        foreach (['day', 'depth', 'ph', 'organic', 'p', 'pBy', 'k', 'kBy', 'b', 'salt', 'saltBy', 'texture', 'worms', 'pan',
            'words'] as $field) {
            $data->{$field} = $test->{$field};
        }

        return $data;
    }

    public function isEmpty(): bool
    {
        return null === ($this->ph ?? $this->organic ?? $this->p ?? $this->k ?? $this->b ?? $this->salt ?? $this->texture ?? $this->worms
            ?? $this->pan);
    }

    public function test(string $key, Garden $garden): SoilTest
    {
        $isBed = isset($garden->bedsByName()[$this->place]);
        $mg = fn (?float $value): ?float => null === $value ? null : $value * $this->unit->inMgPerKg();

        return new SoilTest($key, $isBed ? $this->place : '', $isBed ? '' : $this->place, $this->day ?? $garden->today, $this->depth,
            $this->ph,
            null, $this->organic, $mg($this->p), $this->pBy, $mg($this->k), $this->kBy, b: $mg($this->b), salt: $this->salt,
            saltBy: $this->saltBy, texture: $this->texture, worms: $this->worms, pan: $this->pan, words: $this->words);
    }
}
