<?php

declare(strict_types=1);

namespace App\Garden;

use App\Form\CaseType;
use App\Form\WhereType;
use JollyFurrow\Measure\Units;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextareaType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<NewGarden> */
final class NewGardenType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'Name', 'empty_data' => ''])
            ->add('where', WhereType::class, ['label' => 'Where', 'required' => true,
                'help' => '40° N, or 40.5, -3.7, or S 33.9; with the height if you know it: 40° N, 310 m'])
            ->add('zone', HiddenType::class, ['empty_data' => '', 'attr' => ['data-time-zone' => '']])
            ->add('units', CaseType::class, ['label' => 'Units', 'class' => Units::class])
            ->add('months', TextareaType::class, ['label' => 'Temperatures by month', 'required' => false, 'empty_data' => '',
                'help' => 'Twelve minima, then twelve maxima; a third line for rain. Straight out of a table.']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => NewGarden::class]);
    }
}
