<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Primitives;
use OddSpark\Appliance\Spec;
use OddSpark\Parts\Figure;
use OddSpark\Parts\NaturalFault;

/** What there is to make kinds of, written down from the primitives themselves: docs/primitives.md. */
final class PrimitivesPage
{
    private const UNITS = [
        Figure::AS_FELT => 'of what it feels',
        Figure::DEGREES => '°F or °C',
        Figure::OF_FLOW => 'of what flows there',
        Figure::OF_PRESSURE => 'of pressure there',
        Figure::OF_HEAT_HELD => 'Btu/°F or Wh/K',
        Figure::OF_HEAT_PER_DEGREE => 'Btu/h·°F or W/K',
    ];

    public static function markdown(): string
    {
        $text = <<<'MD'
            # Primitives

            What kinds of parts and processes are made of. Written by `php core/bin/schemas.php` from the classes
            themselves; a kind names one by its type, and gives its parameters (docs/formats.md).

            MD;
        foreach (['Of parts' => true, 'Of a process' => false] as $heading => $isOfPart) {
            $text .= "\n## $heading\n";
            foreach (array_keys(Primitives::TYPES) as $type) {
                $text .= Primitives::isOfPart($type) === $isOfPart ? self::section($type) : '';
            }
        }

        return $text;
    }

    private static function section(string $type): string
    {
        $class = Primitives::TYPES[$type];
        $text = "\n### $type\n\n".self::told((string) (new \ReflectionClass($class))->getDocComment())."\n";
        $parameters = self::parameters($class);
        $text .= $parameters === '' ? '' : "\nParameters: $parameters\n";
        $spec = Spec::of('it', ['type' => $type]);
        $figures = array_map(
            fn (Figure $f): string => "`$f->key`".($f->unit === '' ? '' : ' '.(self::UNITS[$f->unit] ?? $f->unit)),
            $spec->figures(),
        );
        $text .= $figures === [] ? '' : "\nFigures that can be set on a part: ".implode(', ', $figures).".\n";
        $faults = array_map(fn (NaturalFault $f): string => "$f->words ($f->weight)", $spec->faults());

        return $text.($faults === [] ? '' : "\nFails by its nature, with its weight: ".implode(', ', $faults).".\n");
    }

    /** What its constructor says of its parameters; of a process, what its document must give. */
    private static function parameters(string $class): string
    {
        $doc = (string) (new \ReflectionMethod($class, '__construct'))->getDocComment();
        if (preg_match('/@param Figures \$p (.*?)(?=\n\s*\* @|\*\/)/s', $doc, $m) === 1) {
            return self::told($m[1]).'.';
        }
        $given = array_map(
            fn (string $key, string $what): string => "`$key` $what",
            array_keys($class::GIVEN),
            $class::GIVEN,
        );

        return $given === [] ? '' : implode(', ', $given).'.';
    }

    /** A doc comment as a paragraph. */
    private static function told(string $doc): string
    {
        $doc = (string) preg_replace('/^\s*\* @phpstan.*\n/m', '', $doc); // for analysis, not for readers
        $doc = (string) preg_replace('/\{@see \\\\?(?:\w+\\\\)*(\w+)\}/', '$1', $doc);
        $paragraphs = preg_split('/\n\s*\n/', (string) preg_replace('#^\s*/?\*+/? ?|\s*\*+/$#m', '', $doc)) ?: [];

        return implode(
            "\n\n",
            array_map(
                fn (string $p): string => trim((string) preg_replace('/\s+/', ' ', $p)),
                array_filter($paragraphs, fn (string $p): bool => trim($p) !== ''),
            ),
        );
    }
}
