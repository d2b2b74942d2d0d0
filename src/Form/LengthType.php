<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A length: "25 m", "2.5 ft"; a bare number counts in the garden's long or short unit.
 *
 * @extends TypedField<Length>
 */
final class LengthType extends TypedField
{
    public function configureOptions(OptionsResolver $resolver): void
    {
        parent::configureOptions($resolver);
        $resolver->setDefaults(['short' => false, 'least' => 0.0, 'most' => 1000.0])->setAllowedTypes('short',
            'bool')->setAllowedTypes('least', 'float')->setAllowedTypes('most', 'float');
        $resolver->setInfo('short', 'Spacings and widths: centimetres or inches')->setInfo('least', 'metres')->setInfo('most', 'metres');
    }

    protected function write(object $value, array $options): string
    {
        return $this->sayer->formatter()->quantity(true === $options['short'] ? Quantity::short($value) : Quantity::long($value))->text;
    }

    protected function parse(string $text, array $options): object
    {
        $units = $this->sayer->formatter()->units;

        return Length::parse($text, true === $options['short'] ? $units->shortUnit() : $units->longUnit(),
            self::number($options['least']), self::number($options['most']));
    }

    private static function number(mixed $value): float
    {
        return \is_float($value) ? $value : throw new \LogicException('A limit of a length is a number of metres.');
    }
}
