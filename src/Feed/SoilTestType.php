<?php

declare(strict_types=1);

namespace App\Feed;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\DayType;
use App\Form\LengthType;
use App\Form\NumberType;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\SaltWay;
use JollyFurrow\Soil\SoilUnit;
use JollyFurrow\Soil\Texture;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<SoilTestData> */
final class SoilTestType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $number = static fn (string $label, float $most, string $help = ''): array => ['label' => $label, 'required' => false,
            'most' => $most,
            'help' => $help];
        $case = static fn (string $label, string $class, string $help = ''): array => ['label' => $label, 'class' => $class,
            'required' => false, 'placeholder' => '', 'help' => $help];
        $builder
            ->add('place', ChoiceType::class, ['label' => 'Bed or block', 'choices' => $options['places'], 'placeholder' => '',
                'empty_data' => '', 'invalid_message' => 'Please choose one of the list.'])
            ->add('day', DayType::class, ['label' => 'Taken on'])
            ->add('depth', LengthType::class, ['label' => 'Depth', 'required' => false, 'short' => true, 'most' => 2.0])
            ->add('ph', NumberType::class, $number('pH', 14.0))
            ->add('organic', NumberType::class, $number('Organic matter, %', 100.0))
            ->add('p', NumberType::class, $number('Phosphorus', 20_000.0, 'as the element'))
            ->add('pBy', CaseType::class, ['choices' => Extract::forPhosphorus()] + $case('drawn out by', Extract::class))
            ->add('k', NumberType::class, $number('Potassium', 20_000.0, 'as the element'))
            ->add('kBy', CaseType::class, ['choices' => Extract::forPotassium()] + $case('drawn out by', Extract::class))
            ->add('unit', CaseType::class, ['label' => 'Counted in', 'class' => SoilUnit::class, 'empty_data' => SoilUnit::MgPerKg->value])
            ->add('b', NumberType::class, $number('Boron', 1000.0))
            ->add('salt', NumberType::class, $number('Salts (EC), dS/m', 100.0))
            ->add('saltBy', CaseType::class, $case('measured in', SaltWay::class))
            ->add('texture', CaseType::class, $case('Texture by hand', Texture::class))
            ->add('worms', CountType::class, ['label' => 'Worms in a spadeful', 'required' => false, 'most' => 1000,
                'help' => 'as deep and wide as the spade'])
            ->add('pan', LengthType::class, ['label' => 'A probe stands at', 'required' => false, 'short' => true, 'most' => 2.0])
            ->add('words', TextType::class, ['label' => 'Laboratory, what was seen', 'required' => false, 'empty_data' => '']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => SoilTestData::class, 'places' => []]);
    }
}
