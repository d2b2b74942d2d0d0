<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A rate or a height: a number in the garden's own unit of that kind, or with the unit of either system behind it.
 *
 * @extends TypedField<Quantity>
 */
final class QuantityType extends TypedField
{
    public function configureOptions(OptionsResolver $resolver): void
    {
        parent::configureOptions($resolver);
        $resolver->setRequired('unit')->setAllowedTypes('unit', Unit::class);
        $resolver->setDefaults(['least' => 0.0, 'most' => \INF])->setAllowedTypes('least', 'float')->setAllowedTypes('most', 'float');
        $resolver->setInfo('least', 'in the unit')->setInfo('most', 'in the unit');
    }

    protected function write(object $value, array $options): string
    {
        return $this->sayer->formatter()->quantity($value)->text;
    }

    protected function parse(string $text, array $options): object
    {
        $unit = $options['unit'] instanceof Unit ? $options['unit'] : throw new \LogicException('A quantity has a unit.');
        $quantity = $this->sayer->formatter()->read($text, $unit);
        if ($quantity->value < $options['least'] || $quantity->value > $options['most']) {
            $limit = static fn (mixed $value): Quantity => Quantity::of(\is_float($value) ? $value : 0.0, $unit);
            throw NotAQuantity::outside($text, $limit($options['least']), $limit($options['most']));
        }

        return $quantity;
    }
}
