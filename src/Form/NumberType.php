<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Measure\Units;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A number without a unit, within limits.
 *
 * @extends AbstractType<float>
 */
final class NumberType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $least = \is_float($options['least']) ? $options['least'] : 0.0;
        $most = \is_float($options['most']) ? $options['most'] : \INF;
        $builder->addViewTransformer(new CallbackTransformer(
            static fn (mixed $value): string => \is_float($value) || \is_int($value) ? Units::number((float) $value, 6) : '',
            static function (mixed $value) use ($least, $most, $options): ?float {
                $text = \is_scalar($value) ? str_replace(',', '.', trim((string) $value)) : '';
                if ('' === $text && false === $options['required']) {
                    return null;
                }
                if (1 !== preg_match('/^-?\d{1,9}(\.\d{1,6})?$/', $text) || (float) $text < $least || (float) $text > $most) {
                    throw BadNumber::any($text, $least, $most);
                }

                return (float) $text;
            },
        ));
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['compound' => false, 'least' => 0.0, 'most' => 1_000_000.0])->setAllowedTypes('least',
            'float')->setAllowedTypes('most', 'float');
    }

    public function getBlockPrefix(): string
    {
        return 'typed';
    }

    public function getParent(): string
    {
        return TextType::class;
    }
}
