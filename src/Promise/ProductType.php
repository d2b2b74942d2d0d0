<?php

declare(strict_types=1);

namespace App\Promise;

use App\Form\MoneyType;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<ProductData> */
final class ProductType extends AbstractType
{
    public function __construct(private readonly Sayer $sayer, private readonly CropBook $book)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'Name', 'empty_data' => ''])
            ->add('unit', TextType::class, ['label' => 'Unit it is sold in', 'empty_data' => ''])
            ->add('price', MoneyType::class, ['label' => 'Price, '.$this->sayer->formatter()->currency]);
        $crops = [];
        foreach ($this->book->sold() as $crop) {
            $unit = $crop->produce->isByWeight() ? $this->sayer->goods($crop->produce->goods(1.0)) : $crop->produce->unit;
            $crops[\sprintf('%s (%s)', $crop->name, $unit)] = $crop->key;
        }
        for ($slot = 0; $slot < $options['slots']; ++$slot) {
            $one = ['label' => 0 === $slot ? 'Made of' : 'and of', 'choices' => $crops, 'placeholder' => '(none)',
                'invalid_message' => 'Please choose one of the list.'];
            $builder
                ->add('item'.$slot, ChoiceType::class, [...$one, 'required' => false, 'property_path' => "item[$slot]"])
                ->add('units'.$slot, AmountType::class, ['label' => 'How much', 'required' => false,
                    'property_path' => "amounts[$slot]"]);
        }
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => ProductData::class, 'slots' => ProductData::PARTS]);
        $resolver->setAllowedTypes('slots', 'int');
    }
}
