<?php

declare(strict_types=1);

namespace JollyFurrow\Exception;

/**
 * How much goes in: every limit of what may be typed, pasted or brought in, in one place; docs/limits.md says why.
 * Beyond a limit nothing is kept and the message names it.
 */
final class Limits
{
    /** Days that may be typed. Reckoning may go some decades beyond. */
    public const FIRST_YEAR = 1970;
    public const LAST_YEAR = 2150;

    /** Characters. */
    public const NAME = 120;
    public const BED_NAME = 20;
    public const BLOCK_NAME = 60;
    public const NOTE = 400;

    /** Of one garden. */
    public const BEDS = 1_000;
    public const BLOCKS = 200;
    public const OUTLETS = 100;
    public const PRODUCTS = 1_000;
    public const PLANTINGS = 10_000;
    public const PIECES = 500;
    public const PROMISES = 50_000;
    public const NOTES = 50_000;
    public const PAST_CROPS = 20_000;
    public const PROTECTIONS = 5_000;
    public const READINGS = 60_000;
    public const WORKERS = 50;
    public const OWN_JOBS = 500;
    public const JOB_MARKS = 100_000;
    public const SOIL_TESTS = 5_000;
    public const SHED = 100;
    public const SPREADS = 50_000;
    public const VALVES = 100;
    public const STORES = 60;
    public const HARVESTS = 50_000;
    public const HANDLINGS = 100_000;
    public const STORE_DAYS = 60_000;
    public const SPRAYS = 5_000;
    public const ORDERS = 50_000;
    public const PRICES = 5_000;
    public const MARKET_DAYS = 20_000;
    public const BOX_SIZES = 30;

    /** Lists and sheets: rows and columns are counted before anything is guessed about them. */
    public const COLUMNS = 12;
    public const ROWS = 5_000;
    /** Rows of what stands that are looked over on one page. */
    public const ROWS_AT_ONCE = 400;
    public const CELL = 1_000;
    /** A climate record may have many columns of which three or four are wanted, and a hundred and sixty years of days. */
    public const RECORD_COLUMNS = 60;
    public const RECORD_ROWS = 60_000;
    /** The whole crop book has a value a row. */
    public const BOOK_ROWS = 20_000;

    /** Bytes. */
    public const LIST_BYTES = 1_000_000;
    public const SHEET_BYTES = 6_000_000;
    public const UNPACKED_BYTES = 50_000_000;
    public const RECORD_BYTES = 8_000_000;
    public const GARDEN_FILE_BYTES = 16_000_000;
    /** Lists and objects inside a garden file; each costs memory, however short. */
    public const GARDEN_FILE_PARTS = 250_000;
    public const GARDEN_FILE_VALUES = 3_000_000;
}
