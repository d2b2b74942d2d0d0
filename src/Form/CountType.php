<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A whole number within limits.
 *
 * @extends AbstractType<int>
 */
final class CountType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $least = \is_int($options['least']) ? $options['least'] : 0;
        $most = \is_int($options['most']) ? $options['most'] : \PHP_INT_MAX;
        $builder->addViewTransformer(new CallbackTransformer(
            static fn (mixed $value): string => \is_int($value) ? (string) $value : '',
            static function (mixed $value) use ($least, $most, $options): ?int {
                $text = \is_scalar($value) ? trim((string) $value) : '';
                if ('' === $text && false === $options['required']) {
                    return null;
                }
                if (1 !== preg_match('/^-?\d{1,9}$/', $text) || (int) $text < $least || (int) $text > $most) {
                    throw BadNumber::whole($text, $least, $most);
                }

                return (int) $text;
            },
        ));
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['compound' => false, 'least' => 0, 'most' => 1_000_000])->setAllowedTypes('least',
            'int')->setAllowedTypes('most', 'int');
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
