<?php

declare(strict_types=1);

namespace App\Tests\Fuzz;

use App\Crop\SheetFile;
use App\Tests\Support\SmallGarden;

/** Values and files nobody should send, made from a seeded generator. */
final readonly class Nasty
{
    private const VALUES = ['', ' ', '0', '-1', '1e999', '-1e999', '1e308', 'NAN', 'INF', '84005', '84006', '-25568', '65747',
        '99999999999999999999',
        '1900-01-01', '1969-12-31', '2150-12-31', '2151-01-01', '2199-12-31', '2199-12-29', '9999-99-99', '0000-00-00', '02-30', '12-31',
            '32/13/2026', "\xFF\xFE",
        "a\xC0\xAFb", "A1\x00", "\x00", '%00', '%', '/', 'A/1', '..', '../../etc', '\\', '"', "'", '<b>', '&amp;', '{{ 7*7 }}',
        '💐', 'ﬀ',
            "\u{202E}A1",
        "A1\nB2", "\t", ';', ',', 'block:', 'block:A', 'bed:A1', 'product:', 'product:lettuce', 'A1', 'T1', 'radish', 'lettuce-head',
            'leek', 'garlic', 'potato',
        'carrot', 'direct', 'transplanted', 'set', 'field', 'tunnel', 'heated', '25 m', '9999 km', '-5 m', '1/0', '1,5', '1.5', '12', '400',
            '2026-05-20',
        '2026-07-21', '20593', 'on', 'true', 'null', '=1+1', '+1', '@x', '18446744073709551616', '1e3', '0x1F', '٣', '１２'];

    public function __construct(private \Random\Randomizer $chance)
    {
    }

    public function value(): mixed
    {
        return match ($this->chance->getInt(0, 39)) {
            0 => [],
            1 => [$this->text(), $this->text()],
            2 => ['x' => ['y' => $this->text()]],
            3 => str_repeat($this->text().'x', 5000),
            4 => str_repeat("\t", 20000),
            default => $this->text(),
        };
    }

    public function text(): string
    {
        return self::VALUES[$this->chance->getInt(0, \count(self::VALUES) - 1)];
    }

    /** Part of an address. */
    public function step(): string
    {
        $text = $this->text();

        return match ($this->chance->getInt(0, 3)) {
            0 => '%00', 1 => '%FF%FE', default => '' === trim($text, '/.') ? '%2F' : rawurlencode($text),
        };
    }

    /** A garden file, a sheet or a list with something changed in it, or a heap of bytes. */
    public function file(): string
    {
        return match ($this->chance->getInt(0, 9)) {
            0 => $this->chance->getBytes($this->chance->getInt(1, 4000)),
            1 => "PK\x03\x04".$this->chance->getBytes(300),
            2 => str_repeat([',', "\n", "\t", ';', '"'][$this->chance->getInt(0, 4)], $this->chance->getInt(1, 200_000)),
            3, 4 => $this->flipped(SheetFile::toWorkbook([['bed', 'crop', 'planted'], ['A1', $this->text(), $this->text()]])),
            5, 6 => $this->flipped("bed,crop,sown,length\nA1,radish,2026-02-20,10 m\nA2,{$this->text()},{$this->text()},{$this->text()}\n"),
            default => $this->garden(),
        };
    }

    private function garden(): string
    {
        $values = SmallGarden::values();
        for ($changes = $this->chance->getInt(1, 3); $changes > 0; --$changes) {
            $this->change($values);
        }
        $json = (string) json_encode($values, \JSON_PARTIAL_OUTPUT_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);

        return 0 === $this->chance->getInt(0, 4) ? $this->flipped($json) : $json;
    }

    /** @param array<mixed> $values */
    private function change(array &$values): void
    {
        if ([] === $values) {
            return;
        }
        $key = $this->chance->pickArrayKeys($values, 1)[0];
        if (\is_array($values[$key]) && [] !== $values[$key] && 0 !== $this->chance->getInt(0, 6)) {
            $this->change($values[$key]);

            return;
        }
        $texts = [-1, 0, 1.0e300, 84006, \PHP_INT_MAX, null, [], true, 'x', '1900-01-01', '2199-12-30', 'A/1', str_repeat('y', 3000)];
        $values[$key] = $texts[$this->chance->getInt(0, \count($texts) - 1)];
    }

    private function flipped(string $bytes): string
    {
        for ($flips = $this->chance->getInt(0, 6); $flips > 0; --$flips) {
            $bytes[$this->chance->getInt(0, \strlen($bytes) - 1)] = \chr($this->chance->getInt(0, 255));
        }

        return $bytes;
    }
}
