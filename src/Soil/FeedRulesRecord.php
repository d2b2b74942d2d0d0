<?php

declare(strict_types=1);

namespace App\Soil;

use App\Codec\SoilFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Soil\FeedRules;

/** How the garden feeds its soil; one a garden. */
#[ORM\Entity]
#[ORM\Table(name: 'feed_rules')]
class FeedRulesRecord extends GardenRow
{
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId, FeedRules $rules)
    {
        parent::__construct($gardenId);
        $this->become($rules);
    }

    public function become(FeedRules $rules): void
    {
        $this->data = SoilFile::rulesValues($rules);
    }
}
