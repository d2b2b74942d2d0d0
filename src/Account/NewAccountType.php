<?php

declare(strict_types=1);

namespace App\Account;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<NewAccount> */
final class NewAccountType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        self::fields($builder);
    }

    /** @param FormBuilderInterface<covariant NewAccount|null> $builder */
    public static function fields(FormBuilderInterface $builder): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'Your name', 'empty_data' => ''])
            ->add('email', TextType::class, ['label' => 'E-mail address', 'help' => 'to sign in with; nothing is sent there',
                'empty_data' => '']);
        NewPasswordType::twice($builder);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => NewAccount::class]);
    }
}
