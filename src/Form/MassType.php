<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Units;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A weight: "25 g", "2.5 kg", "1 oz"; a bare number is of the small unit, grams or ounces.
 *
 * @extends TypedField<Mass>
 */
final class MassType extends TypedField
{
    public function configureOptions(OptionsResolver $resolver): void
    {
        parent::configureOptions($resolver);
        $resolver->setDefaults(['most' => 10_000_000.0])->setAllowedTypes('most', 'float')->setInfo('most', 'grams');
    }

    protected function write(object $value, array $options): string
    {
        return $this->sayer->formatter()->quantity(Quantity::mass($value))->text;
    }

    protected function parse(string $text, array $options): object
    {
        $units = $this->sayer->formatter()->units;
        $bare = 1 === preg_match('/^\s*\d+([.,]\d+)?\s*$/', $text) ? (Units::Metric === $units ? ' g' : ' oz') : '';

        return Mass::parse($text.$bare, $units, Mass::fromGrams(0), Mass::fromGrams(\is_float($options['most']) ? $options['most'] : 0.0));
    }
}
