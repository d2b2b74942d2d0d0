<?php

declare(strict_types=1);

namespace JollyFurrow\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * Arrows that would undo what a room is for. The order of all rooms is RoomsTest's matter; PlantedArrowsTest shows each rule
 * failing, and that every namespace named here has classes in it.
 */
final class DependencyTest
{
    public function testCoreKnowsOnlyItself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('JollyFurrow'))
            ->excluding(Selector::inNamespace('JollyFurrow\Tests'), Selector::inNamespace('JollyFurrow\Architecture'),
                Selector::inNamespace('JollyFurrow\Migrations'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Symfony'), Selector::inNamespace('Doctrine'),
                Selector::inNamespace('Twig'), Selector::inNamespace('Psr'))
            ->because('the rules of the job work without framework, database or clock');
    }

    public function testKernelKnowsOnlyNumbers(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('JollyFurrow\Succession\Kernel'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('JollyFurrow'))
            ->excluding(Selector::inNamespace('JollyFurrow\Succession\Kernel'))
            ->because('hot loops take plain numbers');
    }

    public function testCheckerSharesNoCodeWithThePlanner(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('JollyFurrow\Check'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('JollyFurrow'))
            ->excluding(Selector::inNamespace('JollyFurrow\Check'), Selector::inNamespace('JollyFurrow\Crop'),
                Selector::inNamespace('JollyFurrow\Recipe'), Selector::inNamespace('JollyFurrow\Time'),
                Selector::inNamespace('JollyFurrow\Measure'), Selector::inNamespace('JollyFurrow\Climate'),
                Selector::inNamespace('JollyFurrow\Shelter'),
                Selector::inNamespace('JollyFurrow\Growth'))
            ->because('an error of the planner must not be repeated by what checks it');
    }
}
