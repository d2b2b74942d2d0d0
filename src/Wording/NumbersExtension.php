<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Units;
use Twig\Attribute\AsTwigFilter;

/** Money, shares and counts as templates write them. */
final readonly class NumbersExtension
{
    private const QUARTERS = ['', '¼', '½', '¾'];

    public function __construct(private Sayer $sayer)
    {
    }

    #[AsTwigFilter('about', isSafe: ['html'])]
    public function about(float|int $cents): string
    {
        return $this->sayer->formatter()->about($cents)->html();
    }

    #[AsTwigFilter('money_text')]
    public function moneyText(Money|float|int $cents): string
    {
        return $this->sayer->formatter()->money($cents)->text;
    }

    /** Cents as "1 234.50". */
    #[AsTwigFilter('money', isSafe: ['html'])]
    public function money(Money|float|int $cents): string
    {
        return $this->sayer->formatter()->money($cents)->html();
    }

    /** Cents as "1 234.50 EUR". */
    #[AsTwigFilter('price', isSafe: ['html'])]
    public function price(Money|float|int $cents): string
    {
        return $this->sayer->formatter()->price($cents)->html();
    }

    /** "+12.50", "−3.00" */
    #[AsTwigFilter('signed_money', isSafe: ['html'])]
    public function signedMoney(float|int $cents): string
    {
        return $this->sayer->formatter()->moneyMore($cents)->html();
    }

    /** "75 %" */
    #[AsTwigFilter('percent', isSafe: ['html'])]
    public function percent(float $share): string
    {
        return $this->measure(Quantity::of($share, Unit::Share));
    }

    /** Kilograms as a person can weigh them out. */
    #[AsTwigFilter('weighable', isSafe: ['html'])]
    public function weighable(float $kilograms): string
    {
        return $this->measure(Quantity::of(Mass::fromGrams($kilograms * 1000)->weighable()->grams, Unit::Gram));
    }

    /** "2.5 times" */
    #[AsTwigFilter('times')]
    public function times(float $times): string
    {
        return number_format($times, $times < 10 ? 1 : 0, '.', '').' times';
    }

    /** "97.3 %" */
    #[AsTwigFilter('percent_fine', isSafe: ['html'])]
    public function percentFine(float $share): string
    {
        return $this->measure(Quantity::of($share, Unit::Share), 1);
    }

    #[AsTwigFilter('percent_text')]
    public function percentText(float $share): string
    {
        return $this->sayer->formatter()->quantity(Quantity::of($share, Unit::Share))->text;
    }

    /** "+4.2 %" */
    #[AsTwigFilter('signed_percent')]
    public function signedPercent(float $share): string
    {
        return ($share < 0 ? '−' : '+').number_format(100 * abs($share), 1).' %';
    }

    /** At most three decimals, no idle zeros. */
    #[AsTwigFilter('plain')]
    public function plain(float|int $number): string
    {
        return Units::number((float) $number, 3);
    }

    /** 1.25: "1¼" */
    #[AsTwigFilter('quarters')]
    public function quarters(float $number): string
    {
        $fourths = (int) round(4 * $number);
        $whole = intdiv($fourths, 4);

        return 0 === $fourths ? '0' : ($whole > 0 ? (string) $whole : '').self::QUARTERS[$fourths % 4];
    }

    private function measure(Quantity $quantity, ?int $decimals = null): string
    {
        return $this->sayer->formatter()->quantity($quantity, $decimals)->html();
    }
}
