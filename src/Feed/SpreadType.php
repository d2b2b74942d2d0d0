<?php

declare(strict_types=1);

namespace App\Feed;

use App\Form\DayType;
use App\Form\MassType;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<SpreadData> */
final class SpreadType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $choice = static fn (string $label, mixed $choices): array => ['label' => $label, 'choices' => $choices, 'placeholder' => '',
            'empty_data' => '', 'invalid_message' => 'Please choose one of the list.'];
        $builder
            ->add('place', ChoiceType::class, $choice('Where', $options['places']))
            ->add('product', ChoiceType::class, $choice('What', $options['products']))
            ->add('amount', MassType::class, ['label' => 'How much in all'])
            ->add('day', DayType::class, ['label' => 'On'])
            ->add('workedIn', DayType::class, ['label' => 'Worked in on', 'required' => false, 'help' => 'empty: it lies on top']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => SpreadData::class, 'places' => [], 'products' => []]);
    }
}
