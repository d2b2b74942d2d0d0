<?php

declare(strict_types=1);

namespace App\Station;

use App\Form\DayType;
use App\Form\QuantityType;
use App\Form\TemperatureType;
use App\Wording\Sayer;
use JollyFurrow\Measure\Unit;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<ReadingData> */
final class ReadingType extends AbstractType
{
    public function __construct(private readonly Sayer $sayer)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $degrees = $this->sayer->formatter()->symbol(Unit::Celsius);
        $height = $this->sayer->formatter()->symbol(Unit::RainMillimetre);
        $builder
            ->add('day', DayType::class, ['label' => 'Day'])
            ->add('rain', QuantityType::class, ['label' => 'Rain, '.$height, 'help' => 'from the gauge', 'unit' => Unit::RainMillimetre,
                'most' => 600.0, 'required' => false])
            ->add('min', TemperatureType::class, ['label' => 'Minimum, '.$degrees, 'required' => false])
            ->add('max', TemperatureType::class, ['label' => 'Maximum, '.$degrees, 'required' => false]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => ReadingData::class]);
    }
}
