<?php

declare(strict_types=1);

namespace App\WhatIf;

use App\File\GardenReader;
use App\File\GardenWriter;
use App\Shared\Visit;
use App\Store\GardenKeeper;
use App\Store\WhatIfs;
use Doctrine\DBAL\Connection;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;

/** A garden stored again, to ask something of it: through the garden file, as if it were brought in. Only who asks is a member. */
final readonly class CopyGarden
{
    public function __construct(private GardenWriter $writer, private GardenReader $reader, private GardenKeeper $keeper,
        private WhatIfs $whatIfs, private Connection $connection)
    {
    }

    /** @return string its id */
    public function make(Visit $visit, Garden $asked, string $words): string
    {
        $read = $this->reader->read($this->writer->write($asked));
        $name = mb_substr('What if: '.$words, 0, Limits::NAME);
        $copy = null === $asked->practice ? $read->named($name) : $read->practised($asked->practice, $name);

        return $this->connection->transactional(function () use ($visit, $copy, $words): string {
            $id = $this->keeper->begin($copy, $visit->accountId, 'Copy made to ask: '.$words);
            $this->whatIfs->add($id, $visit->gardenId, $words);

            return $id;
        });
    }
}
