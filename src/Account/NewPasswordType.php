<?php

declare(strict_types=1);

namespace App\Account;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\PasswordType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<NewPassword> */
final class NewPasswordType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        if (true === $options['old']) {
            $now = ['empty_data' => '', 'attr' => ['autocomplete' => 'current-password'], 'mapped' => false];
            $builder->add('old', PasswordType::class, ['label' => 'Password as it is now', ...$now]);
        }
        self::twice($builder);
    }

    /** @param FormBuilderInterface<covariant NewPassword|null> $builder */
    public static function twice(FormBuilderInterface $builder): void
    {
        $typed = ['empty_data' => '', 'attr' => ['autocomplete' => 'new-password']];
        $builder
            ->add('password', PasswordType::class, ['label' => 'New password',
                'help' => 'At least 10 characters; a short sentence is best.', ...$typed])
            ->add('again', PasswordType::class, ['label' => 'The same once more', ...$typed]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => NewPassword::class, 'old' => false])->setAllowedTypes('old', 'bool');
        $resolver->setInfo('old', 'The old one is asked for too');
    }
}
