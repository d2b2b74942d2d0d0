<?php

declare(strict_types=1);

namespace App\Garden;

use App\Form\DayType;
use App\Form\LengthType;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<PastCropData> */
final class PastCropType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $garden = $options['garden'] instanceof Garden ? $options['garden'] : throw new \LogicException('Whose beds are they?');
        $book = $options['book'] instanceof CropBook ? $options['book'] : throw new \LogicException('Which crops are there?');
        $beds = array_map(static fn (Bed $bed): string => $bed->name, $garden->beds);
        $crops = [];
        foreach ($book->all() as $crop) {
            $crops[$crop->name] = $crop->key;
        }
        $longest = max([1.0, ...array_map(static fn (Bed $bed): float => $bed->length->metres(), $garden->beds)]);
        $builder
            ->add('bed', ChoiceType::class, ['label' => 'Bed', 'choices' => array_combine($beds, $beds),
                'invalid_message' => 'There is no such bed. Choose one of the list.'])
            ->add('crop', ChoiceType::class, ['label' => 'Crop', 'choices' => $crops,
                'invalid_message' => 'Please choose one of the list.'])
            ->add('cleared', DayType::class, ['label' => 'Cleared on'])
            ->add('from', LengthType::class, ['label' => 'From, along the bed', 'help' => 'empty: the whole bed', 'required' => false,
                'most' => $longest])
            ->add('to', LengthType::class, ['label' => 'To', 'required' => false, 'least' => 0.1, 'most' => $longest]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => PastCropData::class])->setRequired(['garden', 'book']);
    }
}
