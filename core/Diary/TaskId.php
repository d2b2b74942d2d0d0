<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

/**
 * Names one task for good: what it is of, and which step of it. Moved days leave it as it is, so that what was done stays
 * done: the third weed pass is the third, whenever it falls due.
 */
final readonly class TaskId
{
    public const STEP = '/^[a-z0-9][a-z0-9\/.-]{0,59}$/';
    private const MARK = ':';

    /** @param string $of key of the planting or own job, name of the bed or block; empty: the garden */
    private function __construct(public About $about, public string $of, public string $step)
    {
    }

    public static function of(About $about, string $of, string $step): self
    {
        return 1 === preg_match(self::STEP, $step) && (About::Garden === $about) === ('' === $of) ? new self($about, $of, $step)
            : throw new \LogicException(\sprintf('"%s" of "%s" names no task.', $step, $of));
    }

    public static function ofPlanting(string $key, string $step): self
    {
        return self::of(About::Planting, $key, $step);
    }

    /** Null: it names none. */
    public static function parse(string $text): ?self
    {
        [$about, $step, $of] = [...explode(self::MARK, $text, 3), '', ''];
        $about = About::tryFrom($about);

        return null !== $about && 1 === preg_match(self::STEP, $step) && (About::Garden === $about) === ('' === $of)
            ? new self($about, $of, $step) : null;
    }

    public function text(): string
    {
        return implode(self::MARK, [$this->about->value, $this->step, $this->of]);
    }
}
