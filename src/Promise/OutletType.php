<?php

declare(strict_types=1);

namespace App\Promise;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\DayType;
use JollyFurrow\Time\Weekday;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<OutletData> */
final class OutletType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $after = ['property_path' => 'pickToSale', 'required' => false, 'most' => 30];
        $builder
            ->add('name', TextType::class, ['label' => 'Name', 'empty_data' => ''])
            ->add('weekdays', CaseType::class, ['label' => 'Market days', 'class' => Weekday::class, 'multiple' => true,
                'expanded' => true])
            ->add('priority', CountType::class, ['label' => 'Priority', 'help' => '1 is served first when there is not enough',
                'least' => 1, 'most' => 99])
            ->add('pick_window_days', CountType::class, ['label' => 'Pick at most so many days ahead', 'property_path' => 'pickWindow',
                'most' => 30])
            ->add('pick_to_sale_days', CountType::class, ['label' => 'Nothing older than, days',
                'help' => 'leave empty when stored goods are welcome', ...$after]);
        for ($slot = 0; $slot < $options['slots']; ++$slot) {
            $builder
                ->add('closed_from'.$slot, DayType::class, ['label' => 0 === $slot ? 'Closed from' : 'and from', 'required' => false,
                    'property_path' => "closedFrom[$slot]"])
                ->add('closed_to'.$slot, DayType::class, ['label' => 'to', 'required' => false, 'property_path' => "closedTo[$slot]"]);
        }
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => OutletData::class, 'slots' => OutletData::slotsFor(null)]);
        $resolver->setAllowedTypes('slots', 'int');
    }
}
