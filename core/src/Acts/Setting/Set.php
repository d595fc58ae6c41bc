<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

/** A switch, a cock, a dial set by hand. */
final readonly class Set extends Act
{
    public const NAME = 'set';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Restores];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'lever' => Field::id('lever'), 'to' => Field::setting()];
    }

    public function refusal(Situation $now): ?string
    {
        [$id, $lever] = [$this->part(), (string) $this->get('lever')];
        $part = $now->model->part($id);
        if ($part === null) {
            return "There is no part called \"$id\" here.";
        }
        $setting = $part->kind->settings[$lever] ?? null;
        if ($setting === null) {
            return "There is nothing called \"$lever\" to set on \"$id\".";
        }
        if (in_array($id, $now->state->locked, true)) {
            return 'It is locked off; take the lock and the tag off first.';
        }
        $behind = $now->reach->leverBehind($now->state, $id, $lever);
        if ($behind !== null) {
            return $behind;
        }

        return $setting->takes($this->get('to')) ? null : "It can be set to {$setting->choices()}.";
    }

    public function risks(Situation $now): array
    {
        return $this->get('lever') === 'pipe' && $this->get('to') === 'aside' ? ['flue-aside'] : [];
    }

    public function finds(Situation $before): array
    {
        $at = $before->state->at("{$this->part()}.{$this->get('lever')}");
        $unit = $before->model->part($this->part())->kind->settings[$this->get('lever')]->unit ?? '';

        return $at === $this->get('to') || $at === null ? [] : ['it stood at' => trim("$at $unit")];
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->withSlots(["{$this->part()}.{$this->get('lever')}" => ['at' => $this->get('to')]]);
    }

    public function said(Names $names): string
    {
        return "{$names->part(
            $this->part(),
        )}, {$names->setting($this->part(), $this->get('lever'))} to {$this->get('to')}";
    }
}
