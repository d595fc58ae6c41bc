<?php

declare(strict_types=1);

namespace OddSpark\Tests\Appliance;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Pipes\Pipework;
use PHPUnit\Framework\TestCase;

/** What follows from the pipes of a board. */
final class PipeworkTest extends TestCase
{
    public function test_what_is_found_in_a_flue_comes_from_the_burners_that_are_joined_to_it(): void
    {
        $laid = Pipework::laid(self::twice());
        self::assertSame('flue.in', self::placeOf($laid, 'burners.flue_gas'));
        self::assertSame('flue-b.in', self::placeOf($laid, 'burners-b.flue_gas'));
        $links = array_column($laid['parts'], 'links', 'id');
        self::assertSame('burners.fire', $links['exchanger']['fire']);
        self::assertSame('burners-b.fire', $links['exchanger-b']['fire']);
    }

    public function test_a_flue_that_nothing_burns_into_has_no_flue_gas(): void
    {
        $document = self::twice();
        $document['pipes'] = array_values(
            array_filter($document['pipes'], fn (array $p): bool => $p['from'] !== 'burners-b.products'),
        );
        $laid = Pipework::laid($document);
        self::assertNotNull(self::placeOf($laid, 'burners.flue_gas'));
        self::assertNull(self::placeOf($laid, 'burners-b.flue_gas'));
        self::assertArrayNotHasKey('fire', array_column($laid['parts'], 'links', 'id')['exchanger-b'] ?? []);
    }

    public function test_a_tap_follows_its_port_when_pipes_are_laid_anew_and_keeps_its_name(): void
    {
        $document = self::twice();
        $laid = Pipework::laid($document);
        $laid['taps']['hose-tee']['label'] = 'my tee';
        $joint = fn (array $d): int => $d['process'][$d['taps']['hose-tee']['of']]['joint'];
        $place = fn (array $d): int => $d['process']['flue-flow']['places']['hose.b'];
        self::assertSame($place($laid), $joint($laid));
        array_unshift($laid['parts'], array_pop($laid['parts'])); // the flue of the second is told of first
        $again = Pipework::laid($laid);
        self::assertNotSame($place($laid), $place($again), 'the joints have other numbers');
        self::assertSame($place($again), $joint($again));
        self::assertSame('my tee', $again['taps']['hose-tee']['label']);
    }

    /** @param array<string, mixed> $laid */
    private static function placeOf(array $laid, string $primitive): ?string
    {
        foreach ($laid['taps'] as $tap) {
            if ($tap['of'] === $primitive) {
                return $tap['part'].'.in';
            }
        }

        return null;
    }

    /**
     * The furnace's fire, flue and hose, and the same once more beside it.
     *
     * @return array<string, mixed> with kinds
     */
    private static function twice(): array
    {
        $whole = (new Library())->spread((new Library())->document('furnace-80'));
        $own = ['meter', 'cock', 'valve', 'burners', 'exchanger', 'inducer', 'flue', 'hose', 'pressure'];
        $isOwn = fn (string $place): bool => in_array(explode('.', $place)[0], $own, true);
        $parts = array_values(array_filter($whole['parts'], fn (array $p): bool => in_array($p['id'], $own, true)));
        $pipes = array_values(
            array_filter($whole['pipes'], fn (array $p): bool => $isOwn($p['from']) && $isOwn($p['to'])),
        );
        $second = fn (string $place): string => (string) preg_replace('/^[^.]+/', '$0-b', $place);
        foreach ($parts as $part) {
            $parts[] = ['id' => $part['id'].'-b'] + $part;
        }
        foreach ($pipes as $pipe) {
            $pipes[] = ['id' => $pipe['id'].'b', 'from' => $second($pipe['from']), 'to' => $second($pipe['to'])];
        }

        return ['parts' => $parts, 'pipes' => $pipes, 'process' => [], 'taps' => []] + $whole;
    }
}
