<?php

declare(strict_types=1);

namespace OddSpark\Tests\Words;

use OddSpark\Words\Words;
use PhpParser\Node;
use PhpParser\Node\ArrayItem;
use PhpParser\Node\Attribute;
use PhpParser\Node\Expr\Array_;
use PhpParser\Node\Expr\ArrayDimFetch;
use PhpParser\Node\Expr\Assign;
use PhpParser\Node\Expr\BinaryOp\Concat;
use PhpParser\Node\Expr\New_;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\Node\Expr\Ternary;
use PhpParser\Node\Identifier;
use PhpParser\Node\InterpolatedStringPart;
use PhpParser\Node\Name;
use PhpParser\Node\Scalar\InterpolatedString;
use PhpParser\Node\Scalar\String_;
use PhpParser\Node\Stmt\ClassConst;
use PhpParser\Node\Stmt\ClassMethod;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the code says to people stands in catalogues: nothing lacks, nothing is left over, the code has no words. */
final class WordsTest extends TestCase
{
    private const ROOT = __DIR__.'/../../';

    /**
     * Where words are not said to people but found, matched, drawn or written into files of their own formats: words
     * that a search goes by, what a new document begins with, the command line and what it generates.
     */
    private const NOT_SAID = '~^(Verbs/|Words/|Appliance/(Family|Facets|Medium|ShapeWriter|KnownKeys|Usual)\.php'.
        '|Trade/Competency\.php|Building/PrimitivesPage\.php|Run/SpiceDeck\.php|Circuit/|Drawing/(Chart|Sheet|Ladder|Board|Pipes)\.php)~';

    /** Two words, or one with a capital and more behind it. */
    private const SENTENCE = '/[a-zA-Z]{2,}[,;]? [a-z{]{2,}|^[A-Z][a-z]+( |\.$|:)/';

    public function test_every_text_that_is_asked_for_is_there_with_its_values(): void
    {
        $all = self::catalogue(Words::AMERICAN);
        $wrong = [];
        foreach (self::said() as [$key, $values, $where]) {
            if (! isset($all[$key])) {
                $wrong[] = "$where: there is no \"$key\"";
            } elseif ($values !== null && $values !== self::names($all[$key])) {
                $wrong[] = "$where: \"$key\" is said with ".implode(', ', $values);
            }
        }
        self::assertSame([], $wrong);
        self::assertGreaterThan(900, count(self::said()), 'the search found too little to judge');
    }

    public function test_every_text_is_asked_for(): void
    {
        $asked = array_column(self::said(), 0);
        $sorts = self::sorts();
        self::assertGreaterThan(10, count($sorts));
        $left = array_filter(
            array_keys(array_diff_key(self::catalogue(Words::AMERICAN), array_flip($asked))),
            fn (string $key): bool => array_filter($sorts, fn (string $s): bool => str_starts_with($key, $s)) === [],
        );
        self::assertSame([], array_values($left));
    }

    #[DataProvider('languages')]
    public function test_a_language_says_what_there_is_with_the_same_values(string $language): void
    {
        $all = self::catalogue(Words::AMERICAN);
        $own = self::catalogue($language);
        self::assertSame([], array_keys(array_diff_key($own, $all)), 'nobody asks for these');
        foreach ($own as $key => $text) {
            self::assertSame(self::names($all[$key]), self::names($text), $key);
            self::assertNotSame('', $text, $key);
            $values = array_fill_keys(self::names($text), 'x');
            Words::in($language, fn () => self::assertStringNotContainsString('{', Words::say($key, $values)));
        }
    }

    /** @return iterable<string, array{string}> */
    public static function languages(): iterable
    {
        foreach (Words::languages() as $language) {
            yield $language => [$language];
        }
    }

    public function test_the_code_has_no_sentences_of_its_own(): void
    {
        $found = [];
        foreach (array_keys(self::parsed()) as $file) {
            if (preg_match(self::NOT_SAID, $file) === 1) {
                continue;
            }
            foreach (self::literals($file) as [$text, $line]) {
                if (preg_match(self::SENTENCE, $text) === 1) {
                    $found[] = "$file:$line $text";
                }
            }
        }
        self::assertSame([], $found);
    }

    public function test_a_language_holds_while_it_is_asked_for(): void
    {
        $key = 'acts.danger.moving-part';
        $american = Words::say($key);
        self::assertSame($american, Words::in('tlh', fn () => Words::say($key)), 'a language that is not known');
        $spanish = Words::in('es', fn () => Words::say($key));
        self::assertNotSame($american, $spanish);
        self::assertSame($american, Words::say($key));
        try {
            Words::in('es', fn () => throw new \DomainException());
        } catch (\DomainException) {
        }
        self::assertSame($american, Words::say($key), 'also after an error');
    }

    public function test_what_was_kept_is_said_again_to_whoever_reads_it(): void
    {
        $kept = Words::say('acts.reach.that_is_behind', ['called' => Words::say('acts.names.the_door')]);
        self::assertSame($kept, Words::again($kept), 'an American reads it as it is');
        Words::in('es', function () use ($kept): void {
            $again = Words::say('acts.reach.that_is_behind', ['called' => Words::say('acts.names.the_door')]);
            self::assertNotSame($kept, $again);
            self::assertSame($again, Words::again($kept));
            self::assertSame('no turning', Words::again('no turning'), 'nothing of ours');
            self::assertSame('', Words::again(''));
        });
    }

    public function test_a_figure_is_written_as_it_is(): void
    {
        self::assertStringContainsString('1086 changes', Words::say('run.run_error.more_than_changes_by_s', [
            'most' => 1086,
            'seconds' => '3.000',
        ]));
        $this->expectException(\LogicException::class);
        Words::say('acts.danger.there-is-none');
    }

    /** @return array<string, string> texts by key */
    private static function catalogue(string $language): array
    {
        static $known = [];
        if (isset($known[$language])) {
            return $known[$language];
        }
        $all = [];
        foreach (glob(self::ROOT."words/$language/*.php") ?: [] as $file) {
            $texts = require $file;
            foreach (array_keys($texts) as $key) {
                self::assertStringStartsWith(basename($file, '.php').'.', $key);
            }
            $all += $texts;
        }

        return $known[$language] = $all;
    }

    /** @return list<string> names of the values in a text */
    private static function names(string $text): array
    {
        preg_match_all('/\{(\w+)[},]/', $text, $found);
        $names = array_values(array_unique($found[1]));
        sort($names);

        return $names;
    }

    /** @return list<array{string, list<string>|null, string}> key, names of values where they are written out, place */
    private static function said(): array
    {
        $said = [];
        foreach ([...self::calls('say'), ...self::calls('plain')] as [$first, $call, $where]) {
            if ($first instanceof String_) {
                $values = $call->getArgs()[1]->value ?? null;
                $names = $values === null || $values instanceof Array_ ? self::keys($values) : null;
                $said[] = [$first->value, $names, $where];
            }
        }

        return $said;
    }

    /** @return list<string> */
    private static function keys(?Array_ $values): array
    {
        $keys = array_map(
            fn (ArrayItem $item): string => $item->key instanceof String_ ? $item->key->value : '?',
            $values->items ?? [],
        );
        sort($keys);

        return $keys;
    }

    /** @return list<string> how keys begin of which a part is a name */
    private static function sorts(): array
    {
        $sorts = [];
        foreach ([...self::calls('say'), ...self::calls('has'), ...self::calls('each')] as [$first]) {
            $first = $first instanceof Assign ? $first->expr : $first;
            $first = $first instanceof Concat ? $first->left : $first;
            $first = $first instanceof InterpolatedString ? $first->parts[0] : $first;
            $isWhole = $first instanceof String_ && isset(self::catalogue(Words::AMERICAN)[$first->value]);
            if (($first instanceof String_ || $first instanceof InterpolatedStringPart) && ! $isWhole) {
                $sorts[] = rtrim($first->value, '.').'.';
            }
        }

        return array_values(array_unique($sorts));
    }

    /** @return list<array{Node, StaticCall, string}> first argument, call and place of each call of a method */
    private static function calls(string $method): array
    {
        $calls = [];
        foreach (self::parsed() as $file => $nodes) {
            foreach ((new NodeFinder())->findInstanceOf($nodes, StaticCall::class) as $call) {
                $isThat = $call->class instanceof Name && $call->class->getLast() === 'Words'
                    && $call->name instanceof Identifier && $call->name->name === $method;
                $first = $isThat ? $call->getArgs()[0]->value : null;
                foreach ($first instanceof Ternary ? [$first->if, $first->else] : [$first] as $key) {
                    if ($key !== null) {
                        $calls[] = [$key, $call, "$file:{$call->getStartLine()}"];
                    }
                }
            }
        }

        return $calls;
    }

    /** @return list<array{string, int}> text and line of each string that could be said to people */
    private static function literals(string $file): array
    {
        $found = [];
        $isNoWord = fn (Node $node): bool => match (true) {
            // a fault of ours, and words that a search goes by
            $node instanceof New_ => $node->class instanceof Name
                && str_ends_with($node->class->getLast(), 'Exception'),
            $node instanceof ClassConst => in_array($node->consts[0]->name->name, ['DOES', 'FORMAT'], true),
            $node instanceof Attribute => true,
            // what is perceived is matched by a kind, which has the words
            $node instanceof ClassMethod => in_array($node->name->name, ['shows', 'marker'], true),
            default => false,
        };
        $walk = function (Node $node) use (&$walk, &$found, $isNoWord): void {
            if ($isNoWord($node)) {
                return;
            }
            $isText = $node instanceof String_ || $node instanceof InterpolatedStringPart;
            if ($isText && ! preg_match('~^[/@]~', $node->value)) {
                $found[] = [$node->value, $node->getStartLine()];
            }
            $within = match (true) { // what is asked for by its name is no word
                $node instanceof ArrayItem => ['value'],
                $node instanceof ArrayDimFetch => ['var'],
                default => $node->getSubNodeNames(),
            };
            foreach ($within as $name) {
                foreach (is_array($node->$name) ? $node->$name : [$node->$name] as $inner) {
                    $inner instanceof Node && $walk($inner);
                }
            }
        };
        array_map($walk, self::parsed()[$file]);

        return $found;
    }

    /** @return array<string, list<Node>> the code of the core by file */
    private static function parsed(): array
    {
        static $parsed = null;
        if ($parsed !== null) {
            return $parsed;
        }
        $parsed = [];
        $root = (string) realpath(self::ROOT.'src');
        $all = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS));
        $parser = (new ParserFactory())->createForHostVersion();
        foreach ($all as $file) {
            $nodes = $parser->parse((string) file_get_contents((string) $file));
            $parsed[substr((string) $file, strlen($root) + 1)] = array_values($nodes ?? []);
        }
        ksort($parsed);

        return $parsed;
    }
}
