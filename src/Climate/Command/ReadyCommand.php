<?php

declare(strict_types=1);

namespace App\Climate\Command;

use App\Books\GardenBooks;
use App\File\GardenFileArgument;
use App\Wording\Formatter;
use App\Wording\Sayer;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Season\SowingRisks;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand(name: 'ready',
    description: 'Prints when a sowing is ready, or the latest sowing that is ready on a day, as JSON. Exit code 0: done; 1: never ready, or no sowing makes that day; 2: bad input.')]
final class ReadyCommand extends Command
{
    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books,
        private readonly Sayer $sayer)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A garden file with a climate (docs/garden-file.md), or - for standard input')
            ->addOption('crop', null, InputOption::VALUE_REQUIRED, 'key of a crop of the book')
            ->addOption('variety', null, InputOption::VALUE_REQUIRED, 'name of the variety, when not the first of the crop')
            ->addOption('sow', null, InputOption::VALUE_REQUIRED, 'sowing day: forward')
            ->addOption('ready', null, InputOption::VALUE_REQUIRED, 'wanted day: backward')
            ->addOption('transplant', null, InputOption::VALUE_NONE, 'raised in trays')
            ->addOption('place', null, InputOption::VALUE_REQUIRED, 'field, tunnel, heated', 'field')
            ->addOption('cover', null, InputOption::VALUE_REQUIRED, implode(', ', array_map(static fn (Cover $c): string => $c->value,
                Cover::cases())));
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $garden = $this->file->read($input, $output);
        if (null === $garden) {
            return Command::INVALID;
        }
        $option = static fn (string $name): string => \is_string($input->getOption($name)) ? $input->getOption($name) : '';
        $book = $this->books->with($garden->own);
        $crop = self::crop($book, $option('crop'), $option('variety'));
        $place = PlaceType::tryFrom($option('place'));
        $cover = '' === $option('cover') ? (null === $place ? null : Cover::usualOf($place)) : Cover::tryFrom($option('cover'));
        $method = true === $input->getOption('transplant') ? Method::Transplanted : Method::Sown;
        $day = self::day($option('sow').$option('ready'));
        $problem = match (true) {
            null === $crop => \sprintf('There is no crop "%s". The book has %s.', $option('crop'), implode(', ', $book->keys())),
            '' !== $option('variety') && $option('variety') !== $crop->variety => \sprintf('The varieties in the book are %s.',
                implode(', ', array_map(static fn (Crop $c): string => '"'.$c->variety.'"', $book->varietiesOf($crop->item())))),
            null === $cover => 'Place is field, tunnel or heated; cover one of '.implode(', ',
                array_map(static fn (Cover $c): string => $c->value, Cover::cases())).'.',
            ('' === $option('sow')) === ('' === $option('ready'))
                || null === $day => 'Give either --sow or --ready, with a day such as 2026-05-20.',
            !\in_array($method, $crop->methods(), true) => \sprintf('%s is not %s.', $crop->name, Method::Sown === $method
                ? 'sown in the bed; add --transplant' : 'raised in trays'),
            default => '',
        };
        if ('' !== $problem || null === $crop || null === $cover || null === $day) {
            $this->file->complain($output, $problem);

            return Command::INVALID;
        }
        $rules = $garden->settings->rules;
        $timing = $garden->climate->timing($garden->place->latitude, $day, $rules->odds, $rules->benches,
            $rules->hollow);
        $ripening = $timing->of($crop, $cover);
        $isForward = '' !== $option('sow');
        $found = $isForward ? $ripening->whatever($day->number, $method) : $ripening->latestFor($day->number, $method);
        $ripe = null !== $found && $found->isPossible() ? $found : null;
        $this->sayer->speakFor(Formatter::forMachines($garden->settings->currency));
        $warnings = $isForward
            ? array_values(array_map($this->sayer->text(...), (new SowingRisks($crop, $method, $ripening, $timing))->of($day->number,
                $found)))
            : self::warnings($ripe, $day);
        $told = self::told($crop, $method, $cover, $ripe);
        $this->file->answer($output, [...$told, 'warnings' => $warnings]);

        return null === $ripe ? Command::FAILURE : Command::SUCCESS;
    }

    private static function day(string $text): ?Day
    {
        try {
            return Day::parse($text);
        } catch (InvalidDay) {
            return null;
        }
    }

    /** @return array<string, string|null> */
    private static function told(Crop $crop, Method $method, Cover $cover, ?Ripeness $ripe): array
    {
        $iso = static fn (?int $n): ?string => null === $n ? null : Day::of($n)->iso();

        return ['crop' => $crop->key, 'variety' => $crop->variety, 'method' => $method->value,
            'cover' => $cover->value, 'sow' => $iso($ripe?->sow), 'emergence' => $iso($ripe?->emerges),
            'transplant' => Method::Transplanted === $method ? $iso($ripe?->ground) : null, 'ready' => $iso($ripe?->ready),
            'last_good' => $iso($ripe?->lastGood)];
    }

    private static function crop(CropBook $book, string $key, string $variety): ?Crop
    {
        if (!$book->has($key)) {
            return null;
        }
        $named = array_values(array_filter($book->varietiesOf($key), static fn (Crop $c): bool => $c->variety === $variety));

        return $named[0] ?? $book->get($key);
    }

    /** @return list<string> */
    private static function warnings(?Ripeness $ripe, Day $wanted): array
    {
        if (null === $ripe) {
            return ['No sowing of the two years before is ready by this day.'];
        }

        return [
            ...($ripe->ready < $wanted->number ? [\sprintf('No sowing hits the day exactly; this one is ready %d days before.',
                $wanted->number - $ripe->ready)] : []),
            ...($ripe->lastGood < $wanted->number ? ['It does not hold until the wanted day.'] : []),
        ];
    }
}
