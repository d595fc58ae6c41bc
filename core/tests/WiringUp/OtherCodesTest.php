<?php

declare(strict_types=1);

namespace OddSpark\Tests\WiringUp;

use OddSpark\Appliance\Library;
use OddSpark\Parts\Ability\Decides;
use OddSpark\WiringUp\OtherCodes;
use OddSpark\WiringUp\Replacement;
use PHPUnit\Framework\TestCase;

/** Codes of another make: read by their own card they say the same, read by the old one they mislead. */
final class OtherCodesTest extends TestCase
{
    public function test_the_card_says_of_each_state_what_the_old_one_said_and_some_codes_are_others(): void
    {
        $changed = 0;
        foreach ((new Library())->names() as $name) {
            $model = (new Library())->model($name);
            foreach ($model->parts() as $part) {
                if ($part->kind->those(Decides::class) === []) {
                    continue;
                }
                $old = $model->document['kinds'][$part->kind->name];
                $new = OtherCodes::in($old);
                $control = Replacement::deciding($old);
                $says = $new['percepts'] ?? [];
                foreach ($old['primitives'][$control]['table']['states'] as $state => $row) {
                    $is = $new['primitives'][$control]['table']['states'][$state];
                    $lamp = $row['lamp'] ?? 'off';
                    $other = $is['lamp'] ?? 'off';
                    $changed += $lamp === $other ? 0 : 1;
                    self::assertSame($old['card'][$lamp] ?? null, $new['card'][$other] ?? null, "$name $state");
                    self::assertSame($row['outputs'], $is['outputs']);
                    foreach ($says as $percept) {
                        if ($percept['of'] === $control && isset($percept['say'][$lamp])) {
                            self::assertArrayHasKey($other, $percept['say'], "$name $state: $other can be seen");
                        }
                    }
                }
                self::assertSameSize($old['card'] ?? [], $new['card'] ?? [], 'two states do not share a code that were told apart');
            }
        }
        self::assertGreaterThan(50, $changed);
    }
}
