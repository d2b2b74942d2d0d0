<?php

declare(strict_types=1);

namespace App\Account;

use App\Form\CaseType;
use App\Shared\Role;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<Invitee> */
final class InviteeType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('note', TextType::class, ['label' => 'Who is it for?', 'help' => 'for your own list', 'empty_data' => ''])
            ->add('role', CaseType::class, ['label' => 'Role', 'class' => Role::class]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => Invitee::class]);
    }
}
