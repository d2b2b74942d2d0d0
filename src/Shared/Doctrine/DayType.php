<?php

declare(strict_types=1);

namespace App\Shared\Doctrine;

use Doctrine\DBAL\ParameterType;
use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;
use JollyFurrow\Time\Day;

/** A day in one whole-number column: days since 1970-01-01. */
final class DayType extends Type
{
    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return $platform->getIntegerTypeDeclarationSQL($column);
    }

    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): ?Day
    {
        return is_numeric($value) ? Day::of((int) $value) : null;
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?int
    {
        return $value instanceof Day ? $value->number : null;
    }

    public function getBindingType(): ParameterType
    {
        return ParameterType::INTEGER;
    }
}
