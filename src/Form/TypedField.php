<?php

declare(strict_types=1);

namespace App\Form;

use App\Wording\Sayer;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A text field of the trade: what is typed goes through a parse() door of the core.
 *
 * @template T of object
 *
 * @extends AbstractType<T>
 */
abstract class TypedField extends AbstractType
{
    public function __construct(protected readonly Sayer $sayer)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $nothing = true === $options['required'] ? static fn (): string => 'Please write something here.' : null;
        $builder->addViewTransformer(new Parsed($this->sayer, $this->write(...), $this->parse(...), $options, $nothing));
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['compound' => false, 'data_class' => null, 'empty_data' => null]);
    }

    /** Not the blocks of fields that happen to have the same name. */
    public function getBlockPrefix(): string
    {
        return 'typed';
    }

    public function getParent(): string
    {
        return TextType::class;
    }

    /**
     * @param T                    $value
     * @param array<string, mixed> $options
     */
    abstract protected function write(object $value, array $options): string;

    /**
     * @param array<string, mixed> $options
     *
     * @return T
     */
    abstract protected function parse(string $text, array $options): object;
}
