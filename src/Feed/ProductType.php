<?php

declare(strict_types=1);

namespace App\Feed;

use App\Form\CaseType;
use App\Form\MassType;
use App\Form\MoneyType;
use App\Form\NumberType;
use App\Wording\Sayer;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Release;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\CheckboxType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<ProductData> */
final class ProductType extends AbstractType
{
    public function __construct(private readonly Sayer $sayer)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $percent = static fn (string $label): array => ['label' => $label, 'most' => 100.0];
        $builder
            ->add('name', TextType::class, ['label' => 'Product', 'empty_data' => ''])
            ->add('n', NumberType::class, $percent('Nitrogen N, %'))
            ->add('p', NumberType::class, $percent('Phosphate P₂O₅, %'))
            ->add('k', NumberType::class, $percent('Potash K₂O, %'))
            ->add('isElement', CheckboxType::class, ['label' => 'The label gives P and K as elements', 'required' => false])
            ->add('price', MoneyType::class, ['label' => 'Price, '.$this->sayer->formatter()->currency])
            ->add('for', MassType::class, ['label' => 'for'])
            ->add('release', CaseType::class, ['label' => 'How fast it feeds', 'class' => Release::class])
            ->add('heat', CaseType::class, ['label' => 'Animal manure in it', 'class' => Heat::class])
            ->add('measure', TextType::class, ['label' => 'Measured with', 'required' => false, 'empty_data' => '',
                'help' => 'scoop, bucket; empty: weighed'])
            ->add('step', MassType::class, ['label' => 'One of it holds', 'help' => 'weigh it once; or the least you weigh'])
            ->add('stock', MassType::class, ['label' => 'In the shed', 'required' => false, 'help' => 'empty: not counted'])
            ->add('litre', NumberType::class, ['label' => 'A litre weighs, kg', 'required' => false, 'most' => 5.0]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => ProductData::class]);
    }
}
