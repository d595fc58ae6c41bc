<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Primitives;
use OddSpark\Building\EditError;
use OddSpark\Building\OwnKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A kind of one's own of which something is missing is refused with a place and a sentence. */
final class OwnKindTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function unfinished(): iterable
    {
        foreach (array_filter(array_keys(Primitives::TYPES), Primitives::isOfPart(...)) as $type) {
            yield "$type alone" => [['type' => $type]];
            yield "$type between" => [['type' => $type, 'between' => ['1', '2']]];
            yield "$type between, of text" => [['type' => $type, 'between' => '1', 'ohm' => 'ten', 'to' => 3]];
            yield "$type with figures it has not" => [['type' => $type, 'between' => ['1', '2'], 'ohms' => 10]];
        }
    }

    /** @param array<string, mixed> $primitive */
    #[DataProvider('unfinished')]
    public function test_a_primitive_without_what_it_needs_is_refused_or_does_without(array $primitive): void
    {
        try {
            $kind = (new OwnKind(new Library()))->make([
                'name' => 'trial part', 'title' => 'trial part',
                'terminals' => [['name' => '1', 'edge' => 'up'], ['name' => '2', 'edge' => 'down']],
                'primitives' => ['p' => $primitive],
            ]);
            self::assertSame('trial-part', $kind['kind']);
        } catch (EditError $e) {
            self::assertStringStartsWith('/', $e->pointer);
            self::assertNotSame('', $e->sentence);
        }
    }
}
