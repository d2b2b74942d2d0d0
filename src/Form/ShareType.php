<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Measure\Share;
use JollyFurrow\Measure\Units;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A share, in per cent: "75", "0.2 %".
 *
 * @extends TypedField<Share>
 */
final class ShareType extends TypedField
{
    public function configureOptions(OptionsResolver $resolver): void
    {
        parent::configureOptions($resolver);
        $resolver->setDefaults(['least' => 0.0])->setAllowedTypes('least', 'float');
    }

    protected function write(object $value, array $options): string
    {
        return Units::number(100 * $value->value, 3).' %';
    }

    protected function parse(string $text, array $options): object
    {
        return Share::parse($text, \is_float($options['least']) ? $options['least'] : 0.0);
    }
}
