<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Book\OwnValue;

/** One value of a crop that is the garden's own. */
#[ORM\Entity]
#[ORM\Table(name: 'own_value')]
class OwnValueRecord extends GardenRow
{
    #[ORM\Column(length: 60)]
    public readonly string $crop;
    #[ORM\Column(length: 40)]
    public readonly string $name;
    #[ORM\Column(length: 400)]
    private string $amount;
    #[ORM\Column(length: 400)]
    private string $note;

    public function __construct(string $gardenId, OwnValue $value)
    {
        parent::__construct($gardenId);
        $this->crop = $value->crop;
        $this->name = $value->name;
        $this->become($value);
    }

    public function become(OwnValue $value): void
    {
        $this->amount = $value->is;
        $this->note = $value->note;
    }
}
