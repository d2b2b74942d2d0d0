<?php

declare(strict_types=1);

namespace App\Water;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\NumberType;
use App\Wording\Sayer;
use JollyFurrow\Land\WaterWay;
use JollyFurrow\Measure\Units;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<ValveData> */
final class ValveType extends AbstractType
{
    public function __construct(private readonly Sayer $sayer)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'Valve', 'empty_data' => ''])
            ->add('beds', TextType::class, ['label' => 'Beds', 'required' => false, 'empty_data' => '',
                'help' => 'A1 to A8, B3, or a block'])
            ->add('litres', NumberType::class, ['label' => Units::UsCustomary === $this->sayer->formatter()->units ? 'Gallons a minute'
                : 'Litres a minute', 'most' => 100_000.0, 'help' => 'with all its beds open'])
            ->add('way', CaseType::class, ['label' => 'By', 'class' => WaterWay::class])
            ->add('every', CountType::class, ['label' => 'You open it every so many days', 'required' => false, 'least' => 1, 'most' => 60,
                'help' => 'empty: by need']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => ValveData::class]);
    }
}
