<?php

declare(strict_types=1);

namespace OddSpark\Tests\Sequence;

use OddSpark\Appliance\Library;
use OddSpark\Sequence\LampCode;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class LampCodeTest extends TestCase
{
    #[TestWith(['off', false, 0, 0.0, null, null])]
    #[TestWith(['', false, 0, 0.0, null, null])]
    #[TestWith(['steady', true, 0, 0.0, null, null])]
    #[TestWith(['green', true, 0, 0.0, 'green', null])]
    #[TestWith(['red flashing', true, 0, 1.0, 'red', null])]
    #[TestWith(['slow flashes', true, 0, 2.0, null, null])]
    #[TestWith(['fast flashes', true, 0, 0.4, null, null])]
    #[TestWith(['12 flashes', true, 12, 0.5, null, null])]
    #[TestWith(['shows E3', true, 0, 0.0, null, 'E3'])]
    public function test_what_a_lamp_shows_is_taken_from_its_words(
        string $words,
        bool $isLit,
        int $flashes,
        float $every,
        ?string $colour,
        ?string $letters,
    ): void {
        $code = LampCode::of($words);
        self::assertSame(
            [$isLit, $flashes, $every, $colour, $letters],
            [$code->isLit, $code->flashes, $code->every, $code->colour, $code->letters],
        );
    }

    public function test_every_lamp_of_the_shipped_tables_can_be_told_from_the_others_of_its_table(): void
    {
        $library = new Library();
        foreach ($library->kindNames() as $name) {
            foreach ($library->kind($name)['percepts'] ?? [] as $percept) {
                if (($percept['say']['off'] ?? null) === null) {
                    continue;
                }
                $codes = array_map(fn (string $words) => serialize(LampCode::of($words)), array_keys($percept['say']));
                self::assertSame(count($codes), count(array_unique($codes)), $name);
            }
        }
    }
}
