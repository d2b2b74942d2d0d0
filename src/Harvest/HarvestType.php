<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Form\CaseType;
use App\Form\CropAmountType;
use App\Form\DayType;
use App\Form\NumberType;
use JollyFurrow\Crop\Produce;
use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\Grade;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\CheckboxType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\IntegerType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<HarvestData> */
final class HarvestType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $produce = $options['produce'];
        \assert($produce instanceof Produce && \is_array($options['beds']) && \is_array($options['places'])
            && \is_array($options['uses']));
        $builder->add('amount', CropAmountType::class, ['label' => 'How much', 'produce' => $produce, 'help' => $produce->isByWeight()
            ? 'such as 12.5 kg or 27 lb' : 'of '.$produce->unit.(str_ends_with($produce->unit, 'ch') ? 'es' : 's')])
            ->add('place', ChoiceType::class, ['label' => 'Where it goes', 'choices' => ['to market' => '', ...$options['places']],
                'empty_data' => '']);
        if (\count($options['uses']) > 1) {
            $builder->add('use', CaseType::class, ['label' => 'As what', 'class' => HarvestUse::class, 'choices' => $options['uses'],
                'empty_data' => HarvestUse::Usual->value]);
        }
        if (true === $options['scale'] && $produce->isByWeight()) {
            $builder->add('crates', IntegerType::class, ['label' => 'Crates on the scale, 1.5 kg each', 'required' => false,
                'empty_data' => '0']);
        }
        if (\count($options['beds']) > 1) {
            $builder->add('bed', ChoiceType::class, ['label' => 'From which bed', 'choices' => $options['beds'], 'empty_data' => '']);
        }
        $builder->add('grade', CaseType::class, ['label' => 'Good for', 'class' => Grade::class])
            ->add('flaws', CaseType::class, ['label' => 'It came in', 'class' => Flaw::class, 'multiple' => true, 'expanded' => true,
                'required' => false])
            ->add('hours', NumberType::class, ['label' => 'Hours it took', 'required' => false, 'most' => 200.0])
            ->add('who', TextType::class, ['label' => 'By whom', 'required' => false, 'empty_data' => ''])
            ->add('day', DayType::class, ['label' => 'On which day'])
            ->add('words', TextType::class, ['label' => 'Note, or why it was lost', 'required' => false, 'empty_data' => ''])
            ->add('isLast', CheckboxType::class, ['label' => 'That was the last of it', 'required' => false]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => HarvestData::class])->setRequired(['produce', 'beds', 'places', 'scale', 'uses']);
    }
}
