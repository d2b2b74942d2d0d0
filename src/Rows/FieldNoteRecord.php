<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Time\Day;

#[ORM\Entity]
#[ORM\Table(name: 'field_note')]
class FieldNoteRecord extends GardenRow
{
    #[ORM\Column(length: 10)]
    private string $what;
    #[ORM\Column(type: 'day')]
    private Day $day;
    #[ORM\Column(nullable: true)]
    private ?int $lengthUm;
    #[ORM\Column(nullable: true)]
    private ?float $share;
    #[ORM\Column(nullable: true)]
    private ?float $units;
    #[ORM\Column(length: 400)]
    private string $words;
    #[ORM\Column(length: 20)]
    private string $sign;

    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 36)]
        private string $plantingId,
        FieldNote $note,
    ) {
        parent::__construct($gardenId);
        $this->what = $note->what->value;
        $this->day = $note->day;
        $this->lengthUm = $note->length?->micrometres;
        $this->share = $note->share;
        $this->units = $note->units;
        $this->words = $note->words;
        $this->sign = $note->sign->value ?? '';
    }
}
