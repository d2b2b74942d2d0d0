<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Form\CaseType;
use App\Form\CropAmountType;
use App\Form\DayType;
use JollyFurrow\Storage\HandlingKind;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<HandlingData> */
final class HandlingType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->add('kind', CaseType::class, ['label' => 'What became of it', 'class' => HandlingKind::class])
            ->add('amount', CropAmountType::class, ['label' => 'How much', 'produce' => $options['produce'], 'required' => false,
                'help' => 'empty: all that lies there'])
            ->add('from', ChoiceType::class, ['label' => 'Out of', 'choices' => $options['from'], 'empty_data' => ''])
            ->add('to', ChoiceType::class, ['label' => 'To', 'choices' => $options['to'], 'empty_data' => '', 'required' => false,
                'placeholder' => false])
            ->add('day', DayType::class, ['label' => 'On which day'])
            ->add('words', TextType::class, ['label' => 'Why, or what was seen', 'required' => false, 'empty_data' => '']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => HandlingData::class])->setRequired(['produce', 'from', 'to']);
    }
}
