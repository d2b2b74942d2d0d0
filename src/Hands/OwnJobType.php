<?php

declare(strict_types=1);

namespace App\Hands;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\DayType;
use App\Form\NumberType;
use JollyFurrow\Diary\Bears;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<OwnJobData> */
final class OwnJobType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        /** @var list<string> $blocks */
        $blocks = $options['blocks'];
        $builder
            ->add('words', TextType::class, ['label' => 'What', 'empty_data' => ''])
            ->add('block', ChoiceType::class, ['label' => 'Where', 'choices' => ['anywhere' => '',
                ...array_combine(array_map(static fn (string $b): string => 'block '.$b,
                    $blocks), $blocks)], 'empty_data' => ''])
            ->add('first', DayType::class, ['label' => 'On', 'required' => false])
            ->add('every', CountType::class, ['label' => 'Again every so many days', 'required' => false, 'least' => 1, 'most' => 3660,
                    'help' => 'empty: once'])
            ->add('last', DayType::class, ['label' => 'Until', 'required' => false, 'help' => 'empty: without end'])
            ->add('hours', NumberType::class, ['label' => 'Hours', 'required' => false, 'most' => 100.0])
            ->add('bears', CaseType::class, ['label' => 'Weather', 'class' => Bears::class])
            ->add('wait', CountType::class, ['label' => 'Can wait, days', 'most' => 90]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => OwnJobData::class, 'blocks' => []]);
        $resolver->setAllowedTypes('blocks', 'string[]');
    }
}
