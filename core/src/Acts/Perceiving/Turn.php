<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Turns;

/** A shaft turned by hand. */
final readonly class Turn extends Act
{
    public const NAME = 'turn';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Asks, Quality::Touches];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part()) ??
            ($now->model->kindOf($this->part())?->hands()->turn === true
                ? null
                : 'There is nothing on it to turn by hand.');
    }

    public function risks(Situation $now): array
    {
        $turns = array_key_first($now->model->parts()[$this->part()]->kind->those(Turns::class));

        return $now->machine->shows($now->state, "{$this->part()}.$turns") === '' ? [] : ['moving-part'];
    }

    public function shows(Situation $now): array
    {
        return ['shaft' => $this->shaft($now)];
    }

    private function shaft(Situation $now): string
    {
        $set = $now->noticing->sick($now->state, $this->part())->set ?? [];
        $path = "{$this->part()}.".array_key_first($now->model->parts()[$this->part()]->kind->those(Turns::class));

        return match (true) {
            $set["$path.seized"] ?? false => 'does not turn',
            ($set["$path.drag"] ?? 1.0) < 0.9 => 'turns heavily',
            default => 'turns freely',
        };
    }

    public function said(Names $names): string
    {
        return "Turned {$names->part($this->part())} by hand";
    }
}
