<?php

declare(strict_types=1);

namespace App\Hands;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\NumberType;
use JollyFurrow\Work\CarePoint;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\CheckboxType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<OwnCareData> */
final class OwnCareType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('crop', ChoiceType::class, ['label' => 'Crop', 'choices' => $options['crops'], 'placeholder' => '', 'empty_data' => ''])
            ->add('words', TextType::class, ['label' => 'What', 'empty_data' => '', 'help' => 'Trellis, prune, pinch, side-dress …'])
            ->add('after', CountType::class, ['label' => 'Days', 'least' => -60, 'most' => 400])
            ->add('from', CaseType::class, ['label' => 'after it is', 'class' => CarePoint::class, 'choices' => [CarePoint::Ground,
                CarePoint::Emergence, CarePoint::Ready]])
            ->add('every', CountType::class, ['label' => 'Again every so many days', 'required' => false, 'least' => 1, 'most' => 120,
                'help' => 'empty: once'])
            ->add('goesOn', CheckboxType::class, ['label' => 'while it is harvested too', 'required' => false])
            ->add('threshold', NumberType::class, ['label' => 'Something is counted; act above', 'required' => false,
                'help' => 'empty: nothing is counted'])
            ->add('minutes', CountType::class, ['label' => 'Minutes a bed', 'most' => 2000, 'help' => 'of the usual length']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => OwnCareData::class, 'crops' => []]);
    }
}
