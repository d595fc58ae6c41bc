<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A switch, a cock, a dial set by hand. */
final readonly class Set extends Act
{
    public const NAME = 'set';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Restores, Quality::OnBoth];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'lever' => Field::id('lever'), 'to' => Field::setting()];
    }

    public function refusal(Situation $now): ?string
    {
        [$id, $lever] = [$this->part(), (string) $this->get('lever')];
        $part = $now->model->part($id);
        if ($part === null) {
            return Words::say('acts.set.there_is_no_part_called', ['id' => $id]);
        }
        $setting = $part->kind->settings[$lever] ?? null;
        if ($setting === null) {
            return Words::say('acts.set.there_is_nothing_called_to', ['lever' => $lever, 'id' => $id]);
        }
        if (in_array($id, $now->state->locked, true)) {
            return Words::say('acts.set.it_is_locked_off_take');
        }
        $behind = $now->reach->leverBehind($now->state, $id, $lever);
        if ($behind !== null) {
            return $behind;
        }

        return $setting->takes($this->get('to')) ? null : Words::say('acts.set.it_can_be_set_to', [
            'choices' => $setting->choices(),
        ]);
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
        return Words::say('acts.set.to', [
            'part' => $names->part(
                $this->part(),
            ),
            'setting' => $names->setting($this->part(), $this->get('lever')),
            'to' => $this->get('to'),
        ]);
    }
}
