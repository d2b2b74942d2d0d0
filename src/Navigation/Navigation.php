<?php

declare(strict_types=1);

namespace App\Navigation;

use Twig\Attribute\AsTwigFunction;

/**
 * The way through a garden, in the grower's order of work: groups, and inside a group the pages beside each other. Every page
 * of a garden belongs to exactly one of them.
 */
final class Navigation
{
    /** The garden itself stands under its name. */
    public const GARDEN = 'Garden';
    /** @var array<string, array<string, string>> by group: routes and what they are called */
    private const GROUPS = [
        'This week' => ['week' => 'The jobs', 'hands' => 'Hands', 'jobs_own' => 'Own jobs'],
        'Wall' => ['wall' => 'The season', 'map' => 'Map'],
        'In the ground' => ['standing' => 'In the ground'],
        'Plan' => ['plan' => 'The plan', 'forward' => 'Repeat sowings', 'what_if' => 'What if', 'rotation' => 'Rotation',
            'rules' => 'Rules'],
        'Beds' => ['beds' => 'All beds', 'ahead' => 'Bed preparation', 'recipes' => 'Recipes', 'soil' => 'Soil', 'feeding' => 'Feeding',
            'shed' => 'Shed', 'water' => 'Water', 'purchases' => 'Purchases'],
        'Crops' => ['crops' => 'Crop book', 'compare' => 'Side by side', 'nursery' => 'Nursery', 'seed' => 'Seed'],
        'Markets' => ['coming' => 'Coming up', 'orders' => 'Orders', 'promises' => 'Promises', 'offer' => 'Outlets and products',
            'boxes' => 'Boxes', 'take' => 'How much to take', 'load' => 'Load list', 'packing' => 'Packing up',
            'season' => 'Season totals'],
        'Harvest and store' => ['ready' => 'Ready soon', 'pick' => 'Pick list', 'harvest' => 'Log a harvest', 'store' => 'In store',
            'lots' => 'Lots', 'places' => 'Places'],
        'Records' => ['log' => 'History', 'worth' => 'What it was worth', 'sprays' => 'Treatments', 'station' => 'Weather'],
        self::GARDEN => ['place' => 'Climate', 'members' => 'Members', 'settings' => 'Settings', 'file' => 'Backup'],
    ];
    /** @var array<string, string> pages that stand under another */
    private const UNDER = [
        'planting' => 'wall', 'change' => 'wall', 'planting_cover' => 'wall', 'note' => 'wall', 'stand' => 'wall',
            'care_choice' => 'wall', 'job' => 'week', 'calendar' => 'week', 'offline' => 'week',
        'proposal' => 'plan', 'mend' => 'plan', 'wishes_cost' => 'rules', 'draw_up' => 'plan', 'one_more' => 'plan',
        'bed' => 'beds', 'bed_soil' => 'soil', 'lot' => 'lots', 'lot_labels' => 'lots', 'load_cards' => 'load', 'delivery' => 'load',
            'prices' => 'offer', 'mixes' => 'offer',
            'glut' => 'coming',
            'feeding_cards' => 'feeding', 'temper' => 'beds',
            'bed_cover' => 'beds',
            'free_bed' => 'beds', 'cover' => 'beds',
            'recipe' => 'recipes',
        'crop' => 'crops', 'ladder' => 'crops', 'own' => 'crops', 'reading' => 'station', 'member' => 'members', 'find' => 'wall',
    ];

    /** @return array<string, array<string, string>> but the garden's own */
    #[AsTwigFunction('menu')]
    public function groups(): array
    {
        return array_diff_key(self::GROUPS, [self::GARDEN => true]);
    }

    /** @return array<string, string> */
    #[AsTwigFunction('menu_within')]
    public function within(string $group): array
    {
        return self::GROUPS[$group];
    }

    /**
     * Where a page stands. A page is named by its route, with the verb of what was done there behind it.
     *
     * @return array{group: string, entry: string}
     */
    #[AsTwigFunction('menu_at')]
    public function at(string $route): array
    {
        $entry = self::nearest($route, self::UNDER);
        $entry = null === $entry ? self::nearest($route, array_merge(...array_values(self::GROUPS))) ?? 'wall' : self::UNDER[$entry];
        foreach (self::GROUPS as $group => $entries) {
            if (isset($entries[$entry])) {
                return ['group' => $group, 'entry' => $entry];
            }
        }

        return ['group' => 'Wall', 'entry' => 'wall'];
    }

    public function knows(string $route): bool
    {
        return null !== self::nearest($route, [...self::UNDER, ...array_merge(...array_values(self::GROUPS))]);
    }

    /**
     * The longest name a route is, or begins with.
     *
     * @param array<string, string> $names
     */
    private static function nearest(string $route, array $names): ?string
    {
        $found = null;
        foreach (array_keys($names) as $name) {
            $isIt = $route === $name || str_starts_with($route, $name.'_');
            $found = $isIt && \strlen($name) > \strlen($found ?? '') ? $name : $found;
        }

        return $found;
    }
}
