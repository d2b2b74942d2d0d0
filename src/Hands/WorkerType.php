<?php

declare(strict_types=1);

namespace App\Hands;

use App\Form\DayType;
use App\Form\NumberType;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Time\Weekday;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<WorkerData> */
final class WorkerType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->add('name', TextType::class, ['label' => 'Name', 'empty_data' => '']);
        foreach (Weekday::cases() as $day) {
            $builder->add('h'.$day->value, NumberType::class, ['label' => $day->short(), 'required' => false, 'most' => Worker::MOST_HOURS,
                'property_path' => 'hours['.$day->value.']']);
        }
        for ($slot = 0; $slot < $options['slots']; ++$slot) {
            $builder
                ->add('away_from'.$slot, DayType::class, ['label' => 0 === $slot ? 'Away from' : 'and from', 'required' => false,
                    'property_path' => "awayFrom[$slot]"])
                ->add('away_to'.$slot, DayType::class, ['label' => 'to', 'required' => false, 'property_path' => "awayTo[$slot]"]);
        }
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => WorkerData::class, 'slots' => WorkerData::slotsFor(null)]);
        $resolver->setAllowedTypes('slots', 'int');
    }
}
