<?php

declare(strict_types=1);

namespace App\Garden;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\LengthType;
use JollyFurrow\Shelter\PlaceType;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<BedSeriesData> */
final class BedSeriesType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('block', TextType::class, ['label' => 'Block', 'empty_data' => ''])
            ->add('prefix', TextType::class, ['label' => 'Letters before the number', 'empty_data' => '', 'required' => false])
            ->add('first', CountType::class, ['label' => 'First number', 'most' => 9999])
            ->add('count', CountType::class, ['label' => 'How many beds', 'least' => 1, 'most' => 200])
            ->add('length', LengthType::class, ['label' => 'Length', 'least' => 0.5, 'most' => 500.0])
            ->add('width', LengthType::class, ['label' => 'Width', 'short' => true, 'least' => 0.1, 'most' => 10.0])
            ->add('path', LengthType::class, ['label' => 'Path beside it', 'short' => true, 'most' => 10.0])
            ->add('place', CaseType::class, ['label' => 'Place', 'class' => PlaceType::class]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => BedSeriesData::class]);
    }
}
