<?php

declare(strict_types=1);

namespace App\Form;

use App\Wording\Sayer;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\EnumType;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * One case of an enum of the core, under its word.
 *
 * @extends AbstractType<\BackedEnum>
 */
final class CaseType extends AbstractType
{
    public function __construct(private readonly Sayer $sayer)
    {
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults([
            'choice_label' => fn (\BackedEnum $case): string => $this->sayer->word($case),
            'choice_translation_domain' => false,
            'invalid_message' => 'Please choose one of the list.',
        ]);
    }

    public function getParent(): string
    {
        return EnumType::class;
    }
}
