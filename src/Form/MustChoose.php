<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractTypeExtension;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Exception\TransformationFailedException;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\FormBuilderInterface;

/** A choice that has to be made is a fault when it was not, rather than nothing. */
final class MustChoose extends AbstractTypeExtension
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        if (true !== $options['required'] || true === $options['multiple']) {
            return;
        }
        $builder->addModelTransformer(new CallbackTransformer(
            static fn (mixed $value): mixed => $value,
            static fn (mixed $value): mixed => $value ?? throw new TransformationFailedException('Nothing was chosen.'),
        ));
    }

    public static function getExtendedTypes(): iterable
    {
        return [ChoiceType::class];
    }
}
