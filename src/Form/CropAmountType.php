<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Crop\Produce;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Units;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * How much of a crop: a weight where it is sold by weight ("12 kg", "500 g", "3 lb"; a bare number is kilograms or pounds), else
 * so many heads or bunches.
 *
 * @extends TypedField<Goods>
 */
final class CropAmountType extends TypedField
{
    private const MOST_KG = 100_000.0;
    private const MOST_UNITS = 1_000_000;

    public function configureOptions(OptionsResolver $resolver): void
    {
        parent::configureOptions($resolver);
        $resolver->setRequired('produce')->setAllowedTypes('produce', Produce::class);
    }

    protected function write(object $value, array $options): string
    {
        return null === $value->mass() ? Units::number($value->units, 1) : $this->sayer->formatter()->goods($value)->text;
    }

    protected function parse(string $text, array $options): object
    {
        $produce = $options['produce'];
        \assert($produce instanceof Produce);
        if ($produce->isByWeight()) {
            return $produce->goods(Mass::parse($text, $this->sayer->formatter()->units, Mass::fromGrams(0),
                Mass::fromGrams(self::MOST_KG * 1000))->grams / 100);
        }
        if (1 !== preg_match('/^(\d{1,7})(\s*[a-z]+)?$/i', trim($text), $m) || (int) $m[1] > self::MOST_UNITS) {
            throw BadNumber::whole($text, 0, self::MOST_UNITS);
        }

        return $produce->goods((float) $m[1]);
    }
}
