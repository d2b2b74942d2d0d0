<?php

declare(strict_types=1);

namespace App\Rows;

use App\Codec\TemperFile;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Quarantine;
use JollyFurrow\Land\Temper;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

#[ORM\Entity]
#[ORM\Table(name: 'bed')]
class BedRecord extends GardenRow
{
    #[ORM\Column(length: 20)]
    private string $name;
    #[ORM\Column]
    private int $position;
    /** Micrometres. */
    #[ORM\Column]
    private int $length;
    #[ORM\Column]
    private int $width;
    #[ORM\Column]
    private int $path;
    #[ORM\Column(length: 10)]
    private string $place;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $temper;
    /** @var list<array{family: string, until: string, why: string}> */
    #[ORM\Column(type: 'json')]
    private array $quarantine;
    #[ORM\Column(type: 'day', nullable: true)]
    private ?Day $retired;

    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 36)]
        private string $blockId,
        Bed $bed,
    ) {
        parent::__construct($gardenId);
        $this->name = $bed->name;
        $this->position = $bed->position;
        $this->length = $bed->length->micrometres;
        $this->width = $bed->width->micrometres;
        $this->path = $bed->path->micrometres;
        $this->place = $bed->place->value;
        $this->know($bed->temper, $bed->quarantine);
        $this->retired = $bed->retired;
    }

    public function rename(string $name): void
    {
        $this->name = $name;
    }

    public function measure(Length $length, Length $width, Length $path, PlaceType $place): void
    {
        $this->length = $length->micrometres;
        $this->width = $width->micrometres;
        $this->path = $path->micrometres;
        $this->place = $place->value;
    }

    public function blockId(): string
    {
        return $this->blockId;
    }

    public function walkOn(int $position): void
    {
        $this->position = $position;
    }

    /** null: in use again. */
    public function retire(?Day $day): void
    {
        $this->retired = $day;
    }

    public function walkTo(string $blockId, int $position): void
    {
        $this->blockId = $blockId;
        $this->position = $position;
    }

    /** @param list<Quarantine> $quarantine */
    public function know(Temper $temper, array $quarantine): void
    {
        $this->temper = TemperFile::temper($temper);
        $this->quarantine = TemperFile::quarantine($quarantine);
    }
}
