<?php

declare(strict_types=1);

namespace App\Codec;

use App\Shared\Faults;
use JollyFurrow\Exception\BadInput;

final class UnusableFile extends \RuntimeException implements BadInput
{
    /** @param list<array{path: string, message: string}> $faults */
    private function __construct(string $message, public readonly array $faults)
    {
        parent::__construct($message);
    }

    public static function notJson(string $why): self
    {
        return new self('This is not a garden file: it is no valid JSON ('.$why.').',
            [['path' => '', 'message' => 'no valid JSON: '.$why]]);
    }

    public static function tooLarge(int $megabytes): self
    {
        return new self(\sprintf('The file is too large. A garden file has at most %d MB.', $megabytes),
            [['path' => '', 'message' => 'too large']]);
    }

    public static function with(Faults $faults): self
    {
        $all = $faults->all();

        return new self(\sprintf('The garden file has %d fault%s. First: %s: %s', \count($all), 1 === \count($all) ? '' : 's',
            $all[0]['path'], $all[0]['message']), $all);
    }
}
