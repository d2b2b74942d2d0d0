<?php

declare(strict_types=1);

namespace App\Garden;

use App\Form\CaseType;
use App\Form\CountType;
use App\Form\LengthType;
use App\Form\MoneyType;
use App\Form\NumberType;
use App\Form\QuantityType;
use App\Form\ShareType;
use App\Form\YearDayType;
use App\Wording\Sayer;
use JollyFurrow\Garden\DateForm;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Units;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Weekday;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<SettingsData> */
final class SettingsType extends AbstractType
{
    public function __construct(private readonly Sayer $sayer)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'Garden', 'empty_data' => ''])
            ->add('place_name', TextType::class, ['label' => 'Place', 'empty_data' => '', 'property_path' => 'placeName'])
            ->add('latitude', NumberType::class, ['label' => 'Latitude, degrees', 'help' => 'south is negative', 'least' => -66.0,
                'most' => 66.0])
            ->add('altitude', QuantityType::class, ['label' => 'Altitude', 'unit' => Unit::Metre, 'least' => -400.0, 'most' => 5000.0])
            ->add('last_frost', YearDayType::class, ['label' => 'Last spring frost', 'help' => 'a later one about one year in ten',
                'property_path' => 'lastFrost'])
            ->add('first_frost', YearDayType::class, ['label' => 'First autumn frost', 'property_path' => 'firstFrost'])
            ->add('units', CaseType::class, ['label' => 'Units', 'class' => Units::class])
            ->add('date_form', CaseType::class, ['label' => 'Dates', 'class' => DateForm::class, 'choices' => [DateForm::DayFirst,
                DateForm::MonthFirst], 'placeholder' => 'by the units', 'required' => false, 'property_path' => 'dateForm'])
            ->add('time_zone', ChoiceType::class, ['label' => 'Time zone', 'choices' => array_combine(\DateTimeZone::listIdentifiers(),
                \DateTimeZone::listIdentifiers()), 'placeholder' => 'the server\'s', 'required' => false, 'property_path' => 'timeZone',
                'invalid_message' => 'Please choose one of the list.'])
            ->add('currency', TextType::class, ['label' => 'Currency', 'empty_data' => ''])
            ->add('sowing_days', CaseType::class, ['label' => 'Sowing days', 'class' => Weekday::class, 'multiple' => true,
                'expanded' => true, 'property_path' => 'sowingDays'])
            ->add('recipe', ChoiceType::class, ['label' => 'How beds are usually made ready',
                'choices' => self::recipes($options['recipes']), 'invalid_message' => 'Please choose one of the list.'])
            ->add('shortage_factor', NumberType::class, ['label' => 'A broken promise costs, times its price', 'least' => 0.01,
                'most' => 1000.0, 'property_path' => 'shortageFactor'])
            ->add('keeping_share', ShareType::class, ['label' => 'Value lost per day held, of the price',
                'property_path' => 'keepingShare'])
            ->add('wage', MoneyType::class, ['label' => 'An hour of work costs, '.$this->sayer->formatter()->currency])
            ->add('compost_depth', LengthType::class, ['label' => 'Compost spread', 'help' => 'depth', 'short' => true, 'most' => 0.3,
                'property_path' => 'compostDepth'])
            ->add('nitrogen_rate', QuantityType::class, ['label' => 'Nitrogen for a medium feeder',
                'help' => 'light feeders get half, heavy ones one and a half times, givers none', 'unit' => Unit::GramPerSquareMetre,
                'most' => 40.0, 'property_path' => 'nitrogenRate'])
            ->add('fertiliser_nitrogen', ShareType::class, ['label' => 'Nitrogen in your fertiliser', 'least' => 0.001,
                'property_path' => 'fertiliserNitrogen']);
        $this->byPlace($builder);
        foreach (Kit::cases() as $kit) {
            $builder->add('kit_'.$kit->value, LengthType::class, ['label' => ucfirst($kit->words()), 'required' => false,
                'most' => 9_999.0, 'property_path' => 'kit['.$kit->value.']']);
        }
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => SettingsData::class])->setRequired('recipes');
    }

    /** @param FormBuilderInterface<SettingsData|null> $builder rents and gaps differ by kind of place */
    private function byPlace(FormBuilderInterface $builder): void
    {
        foreach (PlaceType::cases() as $place) {
            $word = $this->sayer->word($place);
            $builder
                ->add('rent_'.$place->value, QuantityType::class, ['label' => 'Value of a length of bed per week, '.$word,
                    'help' => $this->sayer->formatter()->currency, 'unit' => Unit::CentPerMetre, 'least' => 1.0, 'most' => 100_000.0,
                    'property_path' => 'rent['.$place->value.']'])
                ->add('rotation_'.$place->value, CountType::class, ['label' => 'Years between one family, '.$word,
                    'help' => '0: no gap is kept', 'most' => 12, 'property_path' => 'rotation['.$place->value.']']);
        }
    }

    /** @return array<string, string> */
    private static function recipes(mixed $book): array
    {
        $recipes = [];
        foreach ($book instanceof RecipeBook ? $book->all() : [] as $recipe) {
            $recipes[\sprintf('%s (%d days)', $recipe->name, $recipe->leadDays())] = $recipe->key;
        }

        return $recipes;
    }
}
