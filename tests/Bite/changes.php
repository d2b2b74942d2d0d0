<?php

declare(strict_types=1);

/**
 * One-line changes that tests have to notice: what it is about, file, the line's part as it is, as it is changed, tests to run.
 * Each stands for a rule; where a change goes unnoticed, a test is missing.
 *
 * @return list<array{string, string, string, string, string}>
 */
return [
    // What went unnoticed once.
    ['what waits shrinks by the week, checker', 'core/Check/SupplyRules.php', '$day - $from) / 7)', '$day - $from) / 8)', 'LimitsTest'],
    ['reach of an outlet, checker', 'core/Check/NeedSums.php', 'min($reach, (int) $outlet->number(\'pick_to_sale_days\'))', '$reach',
        'LimitsTest'],
    ['two shares of a bed, rounded', 'core/Land/Stretch.php', 'WHOLE_WIDTH = 1.0001', 'WHOLE_WIDTH = 1.1', 'Stretch|Conflicts|Beds'],
    ['two shares of a bed, rounded the other way', 'core/Land/Stretch.php', 'WHOLE_WIDTH = 1.0001', 'WHOLE_WIDTH = 1.0',
        'Stretch|Conflicts|Beds'],
    ['a planting twice in a file', 'src/Codec/PlantingReader.php', 'isset($plantings[$planting->key])', 'isset($plantings[\'\'])',
        'GardenFile'],
    ['weight of walking', 'core/Beds/BedRules.php', '$apart / self::WALK_BEDS', '$apart * self::WALK_BEDS', 'Beds'],
    ['an empty sliver', 'core/Beds/BedRules.php', '$before <= self::SLIVER_DAYS', '$before < self::SLIVER_DAYS', 'Beds'],
    ['no two crops on one stretch, last day', 'core/Beds/Ground.php', '$stand->start <= $last && $start <= $stand->last;',
        '$stand->start < $last && $start <= $stand->last;', 'Beds|Conflicts'],
    ['no two crops on one stretch, first day', 'core/Beds/Ground.php', '$stand->start <= $last && $start <= $stand->last;',
        '$stand->start <= $last && $start < $stand->last;', 'Beds|Conflicts'],
    ['free ground, last day', 'core/Beds/Ground.php', '$stand->start <= $last && $start <= $stand->last) {',
        '$stand->start <= $last && $start < $stand->last) {', 'BedsTest'],
    ['free ground, in a dense garden', 'core/Beds/Ground.php', '$stand->start <= $last && $start <= $stand->last) {',
        '$stand->start <= $last && $start < $stand->last) {', 'PlannerProperties'],
    ['no two crops on one stretch, checker', 'core/Check/GroundRules.php', "<= (\$other->day('clear') ?? 0)",
        "< (\$other->day('clear') ?? 0)", 'LimitsTest'],
    ['a proposal moves within four weeks', 'core/Proposal/Proposal.php', 'MOVES_AT_MOST = 28', 'MOVES_AT_MOST = 14', 'Proposal'],
    ['reforecast from three days on', 'core/Hand/Reforecast.php', 'LEAST_DAYS = 3', 'LEAST_DAYS = 5', 'ReforecastTest'],
    ['a pasted date of today', 'core/Paste/PastedDay.php', '!$today->isBefore(Day::fromDate($whole, $month, $day))',
        'Day::fromDate($whole, $month, $day)->isBefore($today)', 'Paste'],
    ['the Sunday of beds ahead', 'core/Preparation/BedsAhead.php', '$sunday = $monday->plus(6)', '$sunday = $monday->plus(5)', 'BedsAhead'],
    ['residue: light', 'core/Preparation/Residue.php', '$tonnesPerHectare < self::LIGHT', '$tonnesPerHectare <= self::LIGHT', 'Residue'],
    ['residue: heavy', 'core/Preparation/Residue.php', '$tonnesPerHectare <= self::HEAVY', '$tonnesPerHectare < self::HEAVY', 'Residue'],
    // Twenty more, over core and src.
    ['a single row in an odd width', 'core/Crop/Spacing.php', 'return 1 === $stand->rows ||', 'return', 'Spacing'],
    ['soil too cold to sow', 'core/Maturity/Hazards.php', '$soil < $this->limits->soilLeast', '$soil < $this->limits->soilLeast - 6.0',
        'Acceptance|Season|Candidates'],
    ['small bulbs are not planted for', 'core/Maturity/Usual.php', 'TOO_SMALL = 0.7', 'TOO_SMALL = 0.0', 'Acceptance|Season|Bulbs'],
    ['a bulb by day length fits the place', 'core/Maturity/Bulbs.php', 'FITS_BELOW = 1.2', 'FITS_BELOW = 9.9', 'Acceptance|Season|Bulbs'],
    ['a yield by the width of the bed', 'core/Crop/Crop.php', '/ $this->stand->rows;', '/ $this->stand->rows * 1.1;',
        'SpacingTest|Candidates'],
    ['a share of the width, a share of the yield', 'core/Planting/Planting.php', '$piece->length()->metres() * $piece->widthShare',
        '$piece->length()->metres()', 'LotTest'],
    ['reach of an outlet', 'core/Promise/Outlet.php', ': min($reach, $this->pickToSaleDays)', ': max($reach, $this->pickToSaleDays)',
        'Promise|Need|Supply'],
    ['stretches that touch share no ground', 'core/Land/Stretch.php', '$this->from < $other->to', '$this->from <= $other->to',
        'Stretch|Beds'],
    ['a family too soon', 'core/Beds/FamilyGap.php', '$days < $wanted', '$days <= $wanted', 'Beds|FamilyGap'],
    ['wet days ask before the step', 'core/Preparation/RainQuestion.php', 'WET_MM = 4.0', 'WET_MM = 6.0', 'BedsAhead|Rain|BedsPages'],
    ['the edge of a bed', 'core/Crop/Spacing.php', 'EDGE_MM = 75', 'EDGE_MM = 80', 'Spacing'],
    ['what is left of the picking', 'core/Hand/MakeWay.php', 'LEAST_PICKING = 4', 'LEAST_PICKING = 3', 'MakeWay'],
    ['too many sign-ins', 'src/Account/SignInThrottle.php', 'FOR_ONE_ACCOUNT = 5', 'FOR_ONE_ACCOUNT = 6', 'Members'],
    ['at most so many beds in one go', 'src/Garden/BedSeriesType.php', "'most' => 200", "'most' => 201", 'Forms'],
    ['a day to come was not cleared', 'src/Garden/BedsController.php', '$garden->today->isBefore($typed->cleared)',
        '$typed->cleared->isBefore($garden->today)', 'Forms'],
    ['the end of a stretch lies behind its start', 'src/Garden/BedsController.php', '$to <= $from', '$to < $from', 'Forms'],
    ['what was written and sent back stays', 'src/Form/Parsed.php', '$text === $this->written', 'false', 'Form'],
    ['a tenth of a foot', 'src/Wording/Scale.php', 'FOOT = 0.3048;', 'FOOT = 0.3;', 'UnitWalk'],
    ['degrees of a difference have no offset', 'src/Wording/Scale.php', "Unit::Kelvin => new self(1.8, '°F', 1)",
        "Unit::Kelvin => new self(1.8, '°F', 1, 32.0)", 'Formatter'],
    ['the day before the month where that is usual', 'core/Garden/DateForm.php', 'Units::UsCustomary === $units ? self::MonthFirst',
        'Units::UsCustomary !== $units ? self::MonthFirst', 'Formatter'],
    ['a token for anybody', 'src/Account/GardenGate.php', "['new_password', 'join']", "['join']", 'Members|Access'],
    ['a reading upside down', 'src/Station/StationController.php', '$min > $max', '$min > $max + 1', 'Forms'],
    ['new passwords of ten letters', 'src/Account/NewPassword.php', 'min: 10', 'min: 9', 'Members|SignIn'],
    ['a day of the year, day first', 'core/Time/MonthDay.php', 'checkdate(', '!checkdate(', 'MonthDay|Forms'],
    ['a day of the year that there is not', 'core/Time/Day.php', '!checkdate((int) $m[2]', 'checkdate((int) $m[2]', 'DayTest'],
];
