<?php

declare(strict_types=1);

namespace App\Feed;

use App\Form\CaseType;
use App\Form\NumberType;
use App\Form\ShareType;
use App\Wording\Sayer;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Soil\CompostWay;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\RateBasis;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Soil\Texture;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<RulesData> */
final class RulesType extends AbstractType
{
    private const MOST = 2000.0;

    public function __construct(private readonly Sayer $sayer)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->add('school', CaseType::class, ['label' => 'How you feed', 'class' => FeedSchool::class])
            ->add('basis', CaseType::class, ['label' => 'A rate for a hectare means', 'class' => RateBasis::class])
            ->add('compost', CaseType::class, ['label' => 'Compost, where the preparation brings it', 'class' => CompostWay::class]);
        $rate = $this->sayer->formatter()->symbol(Unit::KilogramPerHectare);
        foreach (['over' => 'May be over the need', 'dose' => 'Standing dose'] as $name => $label) {
            foreach (['N' => 'N', 'P' => 'P₂O₅', 'K' => 'K₂O'] as $of => $nutrient) {
                $builder->add($name.$of, NumberType::class, ['label' => $label.', '.$nutrient.', '.$rate, 'most' => self::MOST]);
            }
        }
        $builder->add('short', ShareType::class, ['label' => 'One mix may leave a bed short by'])
            ->add('untested', CaseType::class, ['label' => 'Beds without a test are taken as', 'class' => SoilLevel::class])
            ->add('tunnels', CaseType::class, ['label' => 'Tunnels without a test', 'class' => SoilLevel::class])
            ->add('organic', NumberType::class, ['label' => 'Organic matter where no test says, %', 'most' => 100.0])
            ->add('texture', CaseType::class, ['label' => 'Soil by hand where no test says', 'class' => Texture::class]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => RulesData::class]);
    }
}
