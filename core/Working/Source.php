<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

final readonly class Source
{
    private function __construct(public SourceKind $kind, public string $note)
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

    public static function garden(string $where = ''): self
    {
        return new self(SourceKind::Garden, $where);
    }

    public static function model(string $why): self
    {
        return new self(SourceKind::OwnModel, $why);
    }

    public function words(): string
    {
        return '' === $this->note ? $this->kind->words() : $this->kind->words().': '.$this->note;
    }
}
