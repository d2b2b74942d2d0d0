<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

/** Where a number comes from. A note is a citation or words the book holds; `from` is one of ours. */
final readonly class Source
{
    private function __construct(public SourceKind $kind, public string $note, public ?From $from = null)
    {
    }

    public static function of(SourceKind $kind, string $note = ''): self
    {
        if (SourceKind::Published === $kind && '' === $note) {
            throw new \LogicException('A published value names its publication.');
        }

        return new self($kind, $note);
    }

    public static function practice(): self
    {
        return new self(SourceKind::CommonPractice, '');
    }

    public static function garden(?From $from = null): self
    {
        return new self(SourceKind::Garden, '', $from);
    }

    public static function model(From $from): self
    {
        return new self(SourceKind::OwnModel, '', $from);
    }
}
