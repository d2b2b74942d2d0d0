<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Form\CountType;
use App\Form\DayType;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<SprayData> */
final class SprayType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $text = static fn (string $label, string $help = ''): array => ['label' => $label, 'required' => false, 'empty_data' => '',
            'help' => $help];
        $days = static fn (string $label): array => ['label' => $label, 'most' => 1000, 'help' => 'from its label'];
        $builder->add('beds', TextType::class, ['label' => 'Beds', 'empty_data' => '', 'help' => 'A1 to A4, or block A'])
            ->add('product', TextType::class, ['label' => 'Product, as on its label', 'empty_data' => ''])
            ->add('wait', CountType::class, $days('Days to the harvest'))
            ->add('reentry', CountType::class, $days('Days until the bed may be entered'))
            ->add('mode', TextType::class, $text('Mode of action', 'from its label, so that it is not the same again'))
            ->add('who', TextType::class, $text('By whom'))
            ->add('licence', TextType::class, $text('Licence'))
            ->add('words', TextType::class, $text('Against what, how much'))
            ->add('day', DayType::class, ['label' => 'On which day']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => SprayData::class]);
    }
}
