<?php

declare(strict_types=1);

namespace App\Promise;

use App\Form\BadNumber;
use App\Wording\Sayer;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\InvalidMass;
use JollyFurrow\Promise\Amount;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * How much of a crop is in a product: a number of its units, or a weight.
 *
 * @extends AbstractType<Amount>
 */
final class AmountType extends AbstractType
{
    public function __construct(private readonly Sayer $sayer)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->addViewTransformer(new CallbackTransformer(
            static fn (mixed $value): string => $value instanceof Amount ? $value->text : '',
            function (mixed $value): ?Amount {
                $text = \is_scalar($value) ? trim((string) $value) : '';
                try {
                    return '' === $text ? null : Amount::parse($text);
                } catch (InvalidMass) {
                    throw BadNumber::amount($text, Amount::LEAST, Amount::MOST, $this->sayer->goods(new Goods(10.0, Goods::HUNDRED_GRAMS)));
                }
            },
        ));
    }

    public function getBlockPrefix(): string
    {
        return 'typed';
    }

    public function getParent(): string
    {
        return TextType::class;
    }
}
