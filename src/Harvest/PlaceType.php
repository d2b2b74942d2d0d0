<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\TemperatureType;
use JollyFurrow\Storage\StoreKind;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<PlaceData> */
final class PlaceType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->add('name', TextType::class, ['label' => 'Name', 'empty_data' => ''])
            ->add('kind', CaseType::class, ['label' => 'What it is', 'class' => StoreKind::class])
            ->add('warmth', TemperatureType::class, ['label' => 'How warm it is'])
            ->add('humidity', CountType::class, ['label' => 'Humidity, %', 'least' => 5, 'most' => 100])
            ->add('crates', CountType::class, ['label' => 'Room for crates', 'required' => false, 'most' => 100_000,
                'help' => 'empty: not counted']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => PlaceData::class]);
    }
}
