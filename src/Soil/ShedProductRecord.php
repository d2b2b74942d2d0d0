<?php

declare(strict_types=1);

namespace App\Soil;

use App\Codec\SoilFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Soil\ShedProduct;

/** A product in the shed, named by its key. */
#[ORM\Entity]
#[ORM\Table(name: 'shed_product')]
class ShedProductRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 36)]
    public readonly string $key;
    #[ORM\Column(length: 80)]
    private string $name;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId, ShedProduct $product)
    {
        parent::__construct($gardenId);
        $this->key = $product->key;
        $this->become($product);
    }

    public function become(ShedProduct $product): void
    {
        $this->name = $product->name;
        $this->data = SoilFile::productValues($product);
    }
}
