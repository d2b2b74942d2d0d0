<?php

declare(strict_types=1);

namespace App\Job;

use App\Books\CareFile;
use App\Books\JobsFile;
use App\Books\SoilTables;
use App\Station\DropFolder;
use App\Station\SimulatedStation;
use App\Store\Snapshot;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Feed\Feeding;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Irrigation\WaterPlan;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Time\Day;
use JollyFurrow\Work\CareCalendar;

/** A garden as one who looks for work sees it, with the weather of its station. */
final readonly class Sites
{
    /** Valves are looked at so far ahead. */
    private const WATER_WEEKS = 4;

    public function __construct(private Snapshot $snapshot, private CropBook $crops, private RecipeBook $recipes, private CareFile $care,
        private JobsFile $jobs, private SoilTables $tables, private SimulatedStation $station, private DropFolder $folder)
    {
    }

    public function of(string $gardenId): Site
    {
        return $this->site($gardenId, $this->snapshot->of($gardenId));
    }

    /** As it is on a day of its own. */
    public function on(string $gardenId, Day $day): Site
    {
        $garden = $this->snapshot->of($gardenId);

        return $this->site($gardenId, $garden->with($garden->plantings, $day));
    }

    public function site(string $gardenId, Garden $garden): Site
    {
        // Made-up weather moves made-up gardens only.
        $outlook = match (true) {
            $this->folder->isThere($gardenId) => $this->folder->outlook($gardenId, $garden->climate, $garden->today),
            null !== $garden->practice => $this->station->outlook($gardenId, $garden->climate, $garden->today),
            default => DailyRecord::fromRows([]),
        };

        $care = new CareCalendar($garden, $this->crops, $this->recipes, $this->care->load());
        $water = [] === $garden->soil->valves ? null : WaterPlan::of($garden, $this->crops, $this->recipes, $this->tables->water(),
            $outlook,
            self::WATER_WEEKS);

        return new Site($garden, $this->crops, $this->recipes, $this->jobs->load(), $care, new SoilDays($garden->climate->measured,
            $outlook),
            new Feeding($garden, $this->crops, $this->recipes, $this->tables->needs(), $this->tables->calendar(), $care), $water);
    }
}
