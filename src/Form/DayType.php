<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Time\Day;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;

/**
 * A day, by the browser's own calendar.
 *
 * @extends TypedField<Day>
 */
final class DayType extends TypedField
{
    public function buildView(FormView $view, FormInterface $form, array $options): void
    {
        $view->vars['type'] = 'date';
    }

    protected function write(object $value, array $options): string
    {
        return $value->iso();
    }

    protected function parse(string $text, array $options): object
    {
        return Day::parse($text);
    }
}
