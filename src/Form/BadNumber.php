<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Exception\Quote;
use Symfony\Component\Form\Exception\TransformationFailedException;

/** What a number field says of what will not do. */
final class BadNumber
{
    public static function whole(string $text, int $least, int $most): TransformationFailedException
    {
        return self::saying(\sprintf('%s will not do. Write a whole number from %d to %d.', Quote::of($text), $least, $most));
    }

    public static function any(string $text, float $least, float $most): TransformationFailedException
    {
        return self::saying(\sprintf('%s will not do. Write a number from %s to %s.', Quote::of($text), $least, $most));
    }

    public static function amount(string $text, float $least, float $most, string $weight): TransformationFailedException
    {
        return self::saying(\sprintf('%s will not do. Write a number from %s to %s, or a weight such as %s.', Quote::of($text),
            $least, $most, $weight));
    }

    private static function saying(string $words): TransformationFailedException
    {
        $failed = new TransformationFailedException($words);
        $failed->setInvalidMessage($words);

        return $failed;
    }
}
