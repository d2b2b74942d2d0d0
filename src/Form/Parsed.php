<?php

declare(strict_types=1);

namespace App\Form;

use App\Wording\Sayer;
use JollyFurrow\Exception\BadInput;
use Symfony\Component\Form\DataTransformerInterface;
use Symfony\Component\Form\Exception\TransformationFailedException;

/**
 * A typed field over one of the core's parse() doors: what is wrong is said at the field, in the garden's own units. What
 * comes back as it was written stays exactly as it was, so that looking at a form in other units and keeping it moves nothing.
 *
 * @template T of object
 *
 * @implements DataTransformerInterface<T, string>
 */
final class Parsed implements DataTransformerInterface
{
    /** @var T|null */
    private ?object $was = null;
    private string $written = '';

    /**
     * @param \Closure(T, array<string, mixed>): string $write
     * @param \Closure(string, array<string, mixed>): T $parse   throws BadInput
     * @param array<string, mixed>                      $options of the field
     * @param \Closure(): string|null                   $nothing what to say of an empty field; null: it may stay empty
     */
    public function __construct(private readonly Sayer $sayer, private readonly \Closure $write, private readonly \Closure $parse,
        private readonly array $options, private readonly ?\Closure $nothing)
    {
    }

    public function transform(mixed $value): string
    {
        if (null === $value || $value !== $this->was) {
            $this->was = $value;
            $this->written = null === $value ? '' : ($this->write)($value, $this->options);
        }

        return $this->written;
    }

    public function reverseTransform(mixed $value): mixed
    {
        $text = \is_scalar($value) ? trim((string) $value) : '';
        if ('' === $text && null === $this->nothing) {
            return null;
        }
        if (null !== $this->was && $text === $this->written) {
            return $this->was;
        }
        try {
            $this->was = ($this->parse)($text, $this->options);
            $this->written = $text;

            return $this->was;
        } catch (BadInput $bad) {
            $failed = new TransformationFailedException($bad->getMessage(), previous: $bad);
            $failed->setInvalidMessage(strtr('' === $text && null !== $this->nothing ? ($this->nothing)() : $this->sayer->why($bad),
                ['{' => '(', '}' => ')']));
            throw $failed;
        }
    }
}
