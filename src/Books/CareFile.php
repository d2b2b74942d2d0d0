<?php

declare(strict_types=1);

namespace App\Books;

use App\Codec\Node;
use App\Codec\UnusableFile;
use App\Shared\Faults;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Stock;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Tools;
use JollyFurrow\Work\CarePoint;
use JollyFurrow\Work\CareRule;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\SourceKind;
use Symfony\Component\Yaml\Yaml;

/** The care of crops that ships with the application: data/care.yaml. */
final readonly class CareFile
{
    public function __construct(private string $path)
    {
    }

    /**
     * @return list<CareRule>
     *
     * @throws UnusableFile naming every field that is wrong
     */
    public function load(?CropBook $book = null): array
    {
        $faults = new Faults();
        $values = Yaml::parseFile($this->path);
        $rules = [];
        foreach (\is_array($values) ? $values : [] as $key => $value) {
            $rules[] = self::rule((string) $key, new Node(\is_array($value) ? $value : [], (string) $key, $faults), $book);
        }
        if ($faults->areThere()) {
            throw UnusableFile::with($faults);
        }

        return $rules;
    }

    private static function rule(string $key, Node $node, ?CropBook $book): CareRule
    {
        $patterns = array_map(static fn (Pattern $p): string => $p->value, Pattern::cases());
        $tool = $node->text('tool', 60);
        if ([] !== Tools::unknown($tool)) {
            $node->fault('tool', 'is no tool known here.');
        }
        $after = $node->has('after') ? $node->int('after', -60, 400) : null;
        if (null === $after && !$node->has('share') && !$node->has('on')) {
            $node->fault('after', 'or else share, or on: when is it done?');
        }
        $crops = self::names($node, 'crops', $book?->keys());

        return new CareRule(
            $key,
            $node->text('name', 80),
            $node->has('from') ? $node->choice('from', CarePoint::class) : CarePoint::Emergence,
            $after,
            $node->has('share') ? $node->float('share', 0, 3) : 0.0,
            $node->has('every') ? $node->int('every', 1, 120) : null,
            $node->has('until') ? $node->float('until', 0, 3) : 1.0,
            $crops,
            self::names($node, 'patterns', $patterns),
            self::names($node, 'methods', array_map(static fn (Method $m): string => $m->value, Method::cases())),
            self::names($node, 'not', $patterns),
            $node->has('slow') ? $node->int('slow', 0, 60) : 0,
            $node->float('hours', 0, 100),
            $tool,
            Source::of($node->choice('source', SourceKind::class)),
            $node->has('on') ? $node->monthDay('on') : null,
            $node->has('lays') ? $node->choice('lays', Kit::class) : null,
            array_values(array_filter(array_map(Stock::tryFrom(...), self::names($node, 'not_stocks',
                array_map(static fn (Stock $s): string => $s->value,
                    Stock::cases()))))),
            $node->has('bare') && $node->bool('bare'),
            $node->has('growing') && $node->bool('growing'),
            $node->has('choice') && $node->bool('choice'),
        );
    }

    /**
     * @param list<string>|null $known null: not held against anything
     *
     * @return list<string>
     */
    private static function names(Node $node, string $field, ?array $known): array
    {
        $names = $node->has($field) ? $node->texts($field, 100) : [];
        foreach (null === $known ? [] : array_diff($names, $known) as $strange) {
            $node->fault($field, \sprintf('"%s" is not known.', $strange));
        }

        return $names;
    }
}
