<?php

declare(strict_types=1);

namespace App\Seed;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\DayType;
use App\Form\MassType;
use App\Form\MoneyType;
use App\Form\ShareType;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Diary\Dressing;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<SeedLotData> */
final class SeedLotType extends AbstractType
{
    private const OLDEST = 1970;
    private const NEWEST = 2150;

    public function __construct(private readonly CropBook $crops, private readonly Sayer $sayer)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $varieties = [];
        foreach ($this->crops->all() as $crop) {
            $varieties[\sprintf('%s ‘%s’', $crop->name, $crop->variety)] = $crop->key;
        }
        ksort($varieties);
        $builder
            ->add('variety', ChoiceType::class, ['label' => 'Variety', 'choices' => $varieties, 'placeholder' => '', 'empty_data' => '',
                'invalid_message' => 'Please choose one of the list.'])
            ->add('amount', MassType::class, ['label' => 'In the drawer', 'help' => 'tubers, cloves and sets by weight too'])
            ->add('counted', DayType::class, ['label' => 'Counted on', 'help' => 'what is sown from then on is taken off'])
            ->add('year', CountType::class, ['label' => 'Year', 'required' => false, 'least' => self::OLDEST, 'most' => self::NEWEST])
            ->add('germination', ShareType::class, ['label' => 'Your germination test', 'required' => false, 'help' => 'empty: not tested'])
            ->add('dressing', CaseType::class, ['label' => 'Sold as', 'class' => Dressing::class,
                'empty_data' => Dressing::None->value, 'help' => 'only plain seed is soaked'])
            ->add('supplier', TextType::class, ['label' => 'Supplier', 'required' => false, 'empty_data' => ''])
            ->add('packet', MassType::class, ['label' => 'Packet', 'required' => false, 'help' => 'what it is sold in'])
            ->add('price', MoneyType::class, ['label' => 'A packet costs, '.$this->sayer->formatter()->currency, 'required' => false])
            ->add('setting', TextType::class, ['label' => 'Seeder', 'required' => false, 'empty_data' => '',
                'help' => 'roller, gears, and the spacing you measured']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => SeedLotData::class]);
    }
}
