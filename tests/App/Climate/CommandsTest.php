<?php

declare(strict_types=1);

namespace App\Tests\Climate;

use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

/** bin/furrow ready and bin/furrow place on the demo garden. */
final class CommandsTest extends KernelTestCase
{
    private const DEMO = __DIR__.'/../../../demo/garden.json';

    public function testForwardAndBackwardAgree(): void
    {
        [$code, $forward] = $this->furrow('ready', ['--crop' => 'radish', '--sow' => '2026-05-20']);
        self::assertSame([0, '2026-05-20', null], [$code, $forward['sow'] ?? null, $forward['transplant'] ?? null]);
        [$code, $backward] = $this->furrow('ready', ['--crop' => 'radish', '--ready' => $forward['ready'] ?? '']);
        self::assertSame([0, $forward['ready']], [$code, $backward['ready'] ?? null]);
        self::assertGreaterThanOrEqual('2026-05-20', $backward['sow'] ?? '');
        [, $tomato] = $this->furrow('ready', ['--crop' => 'tomato', '--variety' => 'Sun Barrel', '--sow' => '2026-03-10',
            '--transplant' => true, '--place' => 'tunnel', '--cover' => 'tunnel-covered']);
        self::assertLessThan($tomato['ready'] ?? '', $tomato['transplant'] ?? 'z');
    }

    public function testWhatIsNeverReadySaysSoWithExitCodeOne(): void
    {
        [$code, $never] = $this->furrow('ready', ['--crop' => 'corn', '--sow' => '2026-09-01']);

        self::assertSame([1, null], [$code, $never['ready'] ?? null]);
        self::assertIsArray($never['warnings'] ?? null);
        self::assertStringContainsString('before it is ready', implode(' ', array_filter($never['warnings'], is_string(...))));
    }

    /** @param array<string, string|bool> $options */
    #[TestWith([['--crop' => 'moonfruit', '--sow' => '2026-05-01'], 'There is no crop "moonfruit"'])]
    #[TestWith([['--crop' => 'radish'], 'Give either --sow or --ready'])]
    #[TestWith([['--crop' => 'radish', '--sow' => '2026-02-30'], 'Give either --sow or --ready'])]
    #[TestWith([['--crop' => 'radish', '--sow' => '2026-05-01', '--transplant' => true], 'Radish is not raised in trays'])]
    #[TestWith([['--crop' => 'radish', '--sow' => '2026-05-01', '--place' => 'moon'], 'Place is field, tunnel or heated'])]
    public function testBadInputHasExitCodeTwo(array $options, string $message): void
    {
        [$code, , $display] = $this->furrow('ready', $options);

        self::assertSame(2, $code);
        self::assertStringContainsString($message, $display);
    }

    public function testThePlaceInNumbers(): void
    {
        [$code, $place] = $this->furrow('place', []);
        self::assertSame(0, $code);
        self::assertIsArray($place['day_length_hours']);
        self::assertCount(365, $place['day_length_hours']);
        self::assertIsArray($place['heat_units']);
        self::assertCount(12, $place['heat_units']);
        self::assertIsArray($place['frost']);
        self::assertSame(['light', 'plain', 'hard'], array_keys($place['frost']));
    }

    /**
     * @param array<string, mixed> $options
     *
     * @return array{int, array<mixed>, string}
     */
    private function furrow(string $command, array $options): array
    {
        $tester = new CommandTester((new Application(self::bootKernel()))->find($command));
        $code = $tester->execute(['file' => self::DEMO, ...$options]);
        $values = json_decode($tester->getDisplay(), true);

        return [$code, \is_array($values) ? $values : [], $tester->getDisplay()];
    }
}
