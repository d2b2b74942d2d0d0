<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormFactoryInterface;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormTypeInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Makes forms whose fields carry their plain names, and hands them what was sent. The token of the page is not theirs: it
 * is checked for every request in one place, before any controller.
 */
final readonly class Forms
{
    public function __construct(private FormFactoryInterface $factory)
    {
    }

    /**
     * Empty, or filled with what there is.
     *
     * @param class-string<FormTypeInterface<covariant mixed>> $type
     * @param array<string, mixed>                             $options
     *
     * @return FormInterface<mixed>
     */
    public function fresh(string $type, ?object $data = null, array $options = []): FormInterface
    {
        /** @var class-string<FormTypeInterface<mixed>> $type */
        return $this->factory->createNamed('', $type, $data, [...$options, 'allow_extra_fields' => true]);
    }

    /**
     * With what was sent.
     *
     * @param class-string<FormTypeInterface<covariant mixed>> $type
     * @param array<string, mixed>                             $options
     *
     * @return FormInterface<mixed>
     */
    public function sent(Request $request, string $type, ?object $data = null, array $options = []): FormInterface
    {
        return $this->fresh($type, $data, $options)->submit($request->request->all());
    }

    /**
     * What only the garden as a whole can tell is wrong with a field.
     *
     * @param FormInterface<mixed> $form
     */
    public static function fault(FormInterface $form, string $field, string $words): void
    {
        $form->get($field)->addError(new FormError($words));
    }

    /**
     * Of a page that shows these forms: 422 where what was sent will not do.
     *
     * @param FormInterface<mixed> ...$forms
     */
    public static function status(FormInterface ...$forms): int
    {
        foreach ($forms as $form) {
            if ($form->isSubmitted() && !$form->isValid()) {
                return Response::HTTP_UNPROCESSABLE_ENTITY;
            }
        }

        return Response::HTTP_OK;
    }
}
