<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Hand;

use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\FieldWork;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FieldWorkTest extends TestCase
{
    /** "3 of 5 m, seed ran out": the part is sown, two days late; the rest is still to sow, or given up. */
    public function testSownInPart(): void
    {
        $radish = LittleGarden::radish('2026-04-10');
        [$sown, $rest] = $this->after($radish, new FieldNote($radish->key, Happening::Sown, Day::parse('2026-04-12'),
            Length::fromMetres(3), null, null, 'seed ran out'), '2026-04-12');

        self::assertSame([Standing::Growing, 3_000_000, '2026-05-12'], [$sown->standing, $sown->length()->micrometres,
            $sown->ready->iso()]);
        self::assertSame([Standing::Planned, 2_000_000, '2026-04-10'], [$rest->standing, $rest->length()->micrometres, $rest->sow->iso()]);
        self::assertCount(1, $this->after($radish, new FieldNote($radish->key, Happening::Sown, Day::parse('2026-04-12'),
            Length::fromMetres(3), null, null, ''), '2026-04-12', restStays: false));
    }

    /** A planting on two beds, finished on the one stood at: the other stands as it did, under another key, and nothing is lost. */
    public function testANoteOfOneBedLeavesTheOthers(): void
    {
        $radish = LittleGarden::radish('2026-04-10', standing: Standing::Growing)->but(pieces: [Stretch::of('A1', 0, 5_000_000),
            Stretch::of('A2', 2_000_000, 8_000_000), Stretch::of('A1', 9_000_000, 10_000_000)]);
        [$here, $there] = $this->after($radish, self::note(Happening::Finished, '2026-05-12'), '2026-05-12', at: 'A2');

        self::assertSame([$radish->key, Standing::Cleared, [['A2', 2_000_000, 8_000_000]]], [$here->key, $here->standing,
            self::pieces($here)]);
        self::assertSame([Standing::Growing, [['A1', 0, 5_000_000], ['A1', 9_000_000, 10_000_000]]], [$there->standing,
            self::pieces($there)]);
        self::assertNotSame($radish->key, $there->key);
        $half = new FieldNote($radish->key, Happening::Lost, Day::parse('2026-05-02'), Length::fromMetres(2), 1.0, null, '');
        $three = $this->after($radish, $half, '2026-05-02', at: 'A2');
        self::assertSame([[['A2', 2_000_000, 4_000_000]], [['A2', 4_000_000, 8_000_000]], [['A1', 0, 5_000_000], ['A1', 9_000_000,
            10_000_000]]],
            array_map(self::pieces(...), $three));
        self::assertCount(3, array_unique(array_map(static fn (Planting $p): string => $p->key, $three)));
        self::assertCount(1, $this->after($radish, self::note(Happening::Finished, '2026-05-12'), '2026-05-12'),
            'all of it, where nobody says which');
        $this->expectException(CannotBeDone::class);
        $this->after($radish, new FieldNote($radish->key, Happening::Finished, Day::parse('2026-05-12'), Length::fromMetres(7), null, null,
            ''),
            '2026-05-12', at: 'A2');
    }

    public function testSownInAnotherBed(): void
    {
        $radish = LittleGarden::radish('2026-04-10');
        [$sown] = $this->after($radish, self::note(Happening::Sown, '2026-04-10'), '2026-04-10', 'A3');

        self::assertSame(['A3', 0], [$sown->pieces[0]->bed, $sown->pieces[0]->from]);
    }

    public function testOutOfTraysItIsFirstInTheNurseryThenInTheGround(): void
    {
        $lettuce = LittleGarden::lettuce('2026-04-10');
        [$sown] = $this->after($lettuce, new FieldNote($lettuce->key, Happening::Sown, Day::parse('2026-04-11'), null, null, null, ''),
            '2026-04-11');
        [$planted] = $this->after($sown, new FieldNote($lettuce->key, Happening::Planted, Day::parse('2026-05-12'), null, null, null,
            ''), '2026-05-12');

        self::assertSame([Standing::InNursery, '2026-05-09'], [$sown->standing, $sown->ground->iso()]);
        self::assertSame([Standing::Growing, '2026-04-11', '2026-06-25'], [$planted->standing, $planted->sow->iso(),
            $planted->ready->iso()]);
    }

    public function testAThinStandAndALossBothTellOnTheHarvest(): void
    {
        $radish = LittleGarden::radish('2026-04-10', standing: Standing::Growing);
        [$thin] = $this->after($radish, self::note(Happening::Emerged, '2026-04-18', 0.75), '2026-04-18');
        [$lost] = $this->after($thin, self::note(Happening::Lost, '2026-04-28', 0.5), '2026-04-28');

        self::assertSame([41.0, 20.0], array_map(static fn (Planting $p): float => Lot::of($p, Book::crops()->get('radish'))[0]->units,
            [$thin, $lost]));
        [$gone] = $this->after($lost, self::note(Happening::Lost, '2026-05-02', 1.0), '2026-05-02');
        self::assertSame([Standing::Cleared, '2026-05-02', 0.0], [$gone->standing, $gone->clear->iso(), $gone->stand]);
    }

    /** Picked for the first time on 8 May with half left: half is cut by then, half is still to come. */
    public function testASampleCorrectsWhatAMetreGives(): void
    {
        $radish = LittleGarden::radish('2026-04-10', standing: Standing::Growing)->but(stand: 0.8);
        $sample = static fn (?float $units, ?Length $length, ?Sign $sign): FieldNote => new FieldNote($radish->key, Happening::Sampled,
            Day::parse('2026-05-05'), $length, null, $units, '', $sign);
        [$found] = $all = $this->after($radish, $sample(9.0, Length::fromMetres(1.5), null), '2026-05-05');

        self::assertCount(1, $all, 'the sample is no part of its own');
        self::assertEqualsWithDelta(6.0, $found->yieldPerMetre(), 1e-9, 'nine on a metre and a half, of the stand there is');
        self::assertSame(['2026-05-10', '2026-05-10'], [$radish->ready->iso(), $found->ready->iso()]);
        [$fit] = $this->after($radish, $sample(9.0, Length::fromMetres(1.5), Sign::FitNow), '2026-05-05');
        self::assertSame('2026-05-05', $fit->ready->iso());
        foreach (['length' => $sample(9.0, null, null), 'units' => $sample(null, Length::fromMetres(1), null)] as $field => $note) {
            try {
                $this->after($radish, $note, '2026-05-05');
                self::fail('nothing to go by');
            } catch (CannotBeDone $not) {
                self::assertSame($field, $not->field);
            }
        }
    }

    public function testPickedEarlyWithAShareLeft(): void
    {
        $radish = LittleGarden::radish('2026-04-10', standing: Standing::Growing);
        [$picked] = $this->after($radish, self::note(Happening::Picked, '2026-05-08', 0.5), '2026-05-08');
        $lots = Lot::of($picked, Book::crops()->get('radish'));

        self::assertSame('2026-05-08', $picked->ready->iso());
        self::assertSame([27.0, 27.0], array_map(static fn (Lot $l): float => $l->units, $lots));
        [$bare] = $this->after($picked, self::note(Happening::Picked, '2026-05-11', 0.0), '2026-05-11');
        self::assertSame([Standing::Cleared, '2026-05-11'], [$bare->standing, $bare->clear->iso()]);
    }

    public function testFinishedFreesTheBed(): void
    {
        [$done] = $this->after(LittleGarden::radish('2026-04-10', standing: Standing::Growing), self::note(Happening::Finished,
            '2026-05-12'), '2026-05-12');

        self::assertSame([Standing::Cleared, '2026-05-12', []], [$done->standing, $done->clear->iso(), FieldWork::possible($done)]);
    }

    /** @param array{Happening, string, ?float} $note */
    #[DataProvider('wrong')]
    public function testWhatCannotHaveHappenedNamesItsField(Standing $standing, array $note, string $field): void
    {
        try {
            $this->after(LittleGarden::radish('2026-04-10', standing: $standing), new FieldNote('radish@2026-04-10#1', $note[0],
                Day::parse($note[1]), null === $note[2] ? null : Length::fromMetres($note[2]), null, null, ''), '2026-04-20');
            self::fail('It was taken.');
        } catch (CannotBeDone $not) {
            self::assertSame($field, $not->field);
        }
    }

    /** @return iterable<string, array{Standing, array{Happening, string, ?float}, string}> */
    public static function wrong(): iterable
    {
        yield 'picked before it is sown' => [Standing::Planned, [Happening::Picked, '2026-04-20', null], 'what'];
        yield 'tomorrow' => [Standing::Planned, [Happening::Sown, '2026-04-21', null], 'day'];
        yield 'come up before it was sown' => [Standing::Growing, [Happening::Emerged, '2026-04-09', null], 'day'];
        yield 'more lost than there is' => [Standing::Growing, [Happening::Lost, '2026-04-20', 6.0], 'length'];
        yield 'anything after it is cleared' => [Standing::Cleared, [Happening::Finished, '2026-04-20', null], 'what'];
    }

    private static function note(Happening $what, string $day, ?float $share = null): FieldNote
    {
        return new FieldNote('radish@2026-04-10#1', $what, Day::parse($day), null, $share, null, '');
    }

    /** @return list<array{string, int, int}> */
    private static function pieces(Planting $planting): array
    {
        return array_map(static fn (Stretch $s): array => [$s->bed, $s->from, $s->to], $planting->pieces);
    }

    /** @return non-empty-list<Planting> */
    private function after(Planting $planting, FieldNote $note, string $today, string $bed = '', bool $restStays = true,
        string $at = ''): array
    {
        return (new FieldWork(Book::crops(), new ByHand(Book::crops(), Book::recipes())))->after(LittleGarden::on($today, [$planting]),
            $planting, $note, $bed, $restStays, $at);
    }
}
