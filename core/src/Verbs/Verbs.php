<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Acts\ActError;
use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Perceiving\Ask;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Observations;
use OddSpark\Bench\Preview;
use OddSpark\Bench\Wording;
use OddSpark\Drawing\Chart;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Rules;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Run\SpiceDeck;
use OddSpark\Sequence\Table;

/** The core on the command line, without the web. Formats: docs/verbs.md. */
final class Verbs
{
    public const VERSION = 1;

    private const USAGE = <<<'TEXT'
        usage: spark models | faults MODEL | table MODEL
               spark arrive MODEL [--fault …] [--visit NAME]
               spark chart MODEL [--fault …] [--visit NAME] [--until S]
               spark run MODEL [--fault PART:MODE[@DEGREE]]… [--actions FILE] [--visit NAME] [--until S]
               spark spice MODEL [--fault …] [--actions FILE] [--visit NAME] --at S [--tran]
               spark solve MODEL [--fault …] [--actions FILE] [--visit NAME] --at S
               spark suspects MODEL --observations FILE | --fault … --actions FILE [--visit NAME] [--pairs]
               spark next MODEL --observations FILE | --fault … --actions FILE [--visit NAME]
               spark classes MODEL [--visit NAME]
               spark tree MODEL [--fault …] [--visit NAME]
               spark mark MODEL --fault … --actions FILE [--visit NAME] [--rules NAME]
               spark debrief MODEL --fault … --actions FILE [--visit NAME] [--rules NAME] [--html]
               each with --json
        TEXT;

    private readonly Library $library;

    /** @param array<string, list<string>> $options */
    private function __construct(
        private readonly string $verb,
        private readonly ?string $model,
        private readonly array $options,
    ) {
        $this->library = new Library();
    }

    /**
     * @param list<string> $words
     * @return int 0 done, 1 bad input, 2 bad usage
     */
    public static function main(array $words): int
    {
        try {
            [$result, $text] = self::parse($words)->answer();
            echo in_array('--json', $words, true)
                ? json_encode(
                    ['verbs' => self::VERSION] + $result,
                    JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                )."\n"
                : $text;

            return 0;
        } catch (UsageError $e) {
            fwrite(STDERR, $e->getMessage()."\n".self::USAGE."\n");

            return 2;
        } catch (DocumentError|ActError|\DomainException|\OutOfBoundsException $e) {
            fwrite(STDERR, $e->getMessage()."\n");

            return 1;
        }
    }

    /** @param list<string> $words */
    private static function parse(array $words): self
    {
        $verb = array_shift($words) ?? '';
        $model = null;
        $options = [];
        while ($words !== []) {
            $word = array_shift($words);
            if (in_array($word, ['--json', '--tran', '--pairs', '--html'], true)) {
                $options[$word] = [''];

                continue;
            }
            if (! str_starts_with($word, '--')) {
                if ($model !== null) {
                    throw new UsageError("One model at a time: \"$word\" is too much.");
                }
                $model = $word;

                continue;
            }
            if (
                ! in_array(
                    $word,
                    ['--fault', '--actions', '--observations', '--visit', '--until', '--at', '--rules'],
                    true,
                )
            ) {
                throw new UsageError("There is no option $word.");
            }
            $options[$word][] = array_shift($words) ?? throw new UsageError("$word needs a value.");
        }
        if (
            ! in_array(
                $verb,
                [
                    'models',
                    'faults',
                    'table',
                    'chart',
                    'arrive',
                    'run',
                    'solve',
                    'spice',
                    'suspects',
                    'next',
                    'classes',
                    'tree',
                    'mark',
                    'debrief',
                ],
                true,
            )
        ) {
            throw new UsageError($verb === '' ? 'Say what to do.' : "There is no verb \"$verb\".");
        }
        if ($verb !== 'models' && $model === null) {
            throw new UsageError("\"$verb\" needs a model: a shipped name or a file.");
        }

        return new self($verb, $model, $options);
    }

    /** @return array{array<string, mixed>, string} */
    private function answer(): array
    {
        if ($this->verb === 'models') {
            return $this->models();
        }
        $plan = Compiler::compile($this->library->model((string) $this->model));

        return match ($this->verb) {
            'faults' => $this->faults($plan),
            'table' => $this->tables($plan),
            'chart' => $this->chart($plan),
            'arrive' => $this->arrive($plan),
            'run' => $this->run($plan),
            'solve' => $this->solve($plan),
            'spice' => $this->spice($plan),
            'suspects', 'next' => $this->suspects($plan),
            'tree' => $this->tree($plan),
            'classes' => $this->proof($plan)->classes($this->visit($plan, $this->log())),
            default => $this->mark($plan),
        };
    }

    /** @return array{array<string, mixed>, string} */
    private function models(): array
    {
        $rows = [];
        foreach ($this->library->names() as $name) {
            $m = $this->library->model($name);
            $rows[] = [
                'name' => $name,
                'title' => $m->title(),
                'parts' => count($m->parts()),
                'wires' => count($m->wires()),
                'visits' => $m->visits(),
                'hash' => $m->hash(),
            ];
        }

        return [
            ['models' => $rows],
            self::table(
                array_map(fn ($r) => [$r['name'], $r['title'], "{$r['parts']} parts", "{$r['wires']} wires"], $rows),
            ),
        ];
    }

    /** @return array{array<string, mixed>, string} the tables of a model's controls, and what is odd about them */
    private function tables(Plan $plan): array
    {
        $rows = [];
        $text = '';
        foreach ($plan->those(Decides::class) as $id) {
            $table = $plan->primitives[$id]['spec']['table'];
            $remarks = (new Table($table))->remarks();
            $rows[] = ['control' => $id, 'table' => $table, 'remarks' => $remarks];
            $text .= "$id: {$table['title']}\n";
            foreach ((new Table($table))->words() as $row) {
                $text .= sprintf(
                    "  %-14s %s%s, lamp %s\n",
                    $row['state'],
                    $row['title'],
                    $row['outputs'] === [] ? '' : ' ['.implode(' ', $row['outputs']).']',
                    $row['lamp'],
                );
                foreach ($row['lines'] as $line) {
                    $text .= "                 $line\n";
                }
            }
            foreach ($remarks as $remark) {
                $text .= "  ! {$remark['pointer']}: {$remark['text']}\n";
            }
        }

        return [['controls' => $rows], $text === '' ? "This model has no control with a table.\n" : $text];
    }

    /** @return array{array<string, mixed>, string} what is found, and what the customer says */
    private function arrive(Plan $plan): array
    {
        $faultSet = FaultSet::of($plan->model);
        $visit = $this->options['--visit'][0] ?? $plan->model->visits()[0];
        $looks = function (Fault $fault) use ($plan, $visit): array {
            $bench = new Bench($plan, $fault, new Memory());
            $arrival = $bench->arrive($visit);
            $state = $arrival->state->with(door: 'open');
            $bench->resume($state);
            $found = [];
            foreach (array_keys($plan->model->parts()) as $part) {
                $found[$part] = $bench->glance($state, (string) $part) ?? [];
            }

            return [$arrival, $found];
        };
        [$arrival, $found] = $looks($faultSet->compound($this->options['--fault'] ?? []));
        [, $healthy] = $looks($faultSet->get(Fault::HEALTHY));
        $odd = [];
        foreach ($found as $part => $seen) {
            $differs = array_diff_assoc($seen, $healthy[$part]);
            if ($differs !== []) {
                $odd[$part] = $differs;
            }
        }
        $text = implode("\n", array_column($arrival->complaint, 'text'))."\n";
        foreach ($arrival->state->answers as $question => $answer) {
            $text .= '  '.Ask::QUESTIONS[$question]." \"$answer\"\n";
        }
        foreach ($odd as $part => $seen) {
            $text .=
                "  {$plan->model->part($part)->label}: ".
                implode('; ', array_map(fn ($k, $v) => $k === 'condition' ? $v : "$k $v", array_keys($seen), $seen)).
                "\n";
        }

        return [
            ['complaint' => $arrival->complaint, 'answers' => $arrival->state->answers, 'unlike_healthy' => $odd],
            $text,
        ];
    }

    /** @return array{array<string, mixed>, string} the sequence chart as SVG */
    private function chart(Plan $plan): array
    {
        $faultSet = FaultSet::of($plan->model);
        $fault = $faultSet->compound($this->options['--fault'] ?? []);
        $visit = $this->options['--visit'][0] ?? $plan->model->visits()[0];
        $until = (int) round(1000 * (float) ($this->options['--until'][0] ?? 900));
        if ($until <= 0 || $until > 86_400_000) {
            throw new UsageError('--until takes seconds, from 1 to 86400.');
        }
        $preview = Preview::of($plan, $fault, $visit, $until);
        $seconds = fn (array $stretches) => array_map(
            fn (array $s) => [$s[0] / 1000, $s[1] / 1000, (string) $s[2]],
            $stretches,
        );
        $lanes = array_map(
            fn (array $lane) => [
                'name' => $lane['name'],
                'tone' => $lane['tone'],
                'stretches' => $seconds($preview->perceived[$lane['channel']] ?? []),
            ],
            $plan->model->tape(),
        );
        $states = [];
        foreach ($preview->states as $control => $list) {
            $states[] = [
                'name' => $plan->model->part(substr($control, 0, (int) strrpos($control, '.')))->label ?? $control,
                'stretches' => array_map(fn (array $s) => [$s['from'] / 1000, $s['to'] / 1000, $s['title']], $list),
            ];
        }
        $svg = Chart::svg("{$plan->model->title()}: {$fault->title}", $lanes, $states, $until / 1000);

        return [['svg' => $svg], $svg];
    }

    /** @return array{array<string, mixed>, string} */
    private function faults(Plan $plan): array
    {
        $rows = [];
        foreach (FaultSet::of($plan->model)->faults as $f) {
            $rows[] = [
                'id' => $f->id,
                'title' => $f->title,
                'family' => $f->family,
                'weight' => $f->weight,
                'repair' => $f->repair,
            ];
        }

        return [['faults' => $rows], self::table(array_map(fn ($r) => [$r['id'], $r['family'], $r['title']], $rows))];
    }

    /** @return array{array<string, mixed>, string} */
    private function run(Plan $plan): array
    {
        $log = $this->log();
        $attempt = $this->attempt($plan, $log, isset($this->options['--until']) ? $this->seconds('--until') : null);
        $states = $this->sequence($plan, $attempt, $log);
        $wording = new Wording($plan->model);
        $text = 'The customer says: '.implode(' ', array_column($attempt->arrival->complaint, 'text'))."\n";
        foreach ($attempt->observations->entries as [$act, $outcome]) {
            $text .= sprintf("%9.3f s  %s\n", $act->tick / 1000, $wording->entry($act, $outcome));
        }
        foreach ($attempt->observations->perceived as $channel => $stretches) {
            foreach ($stretches as [$from, $to, $value]) {
                if (is_string($value)) {
                    $text .= sprintf(
                        "%9.3f s  to %.3f s  %s\n",
                        $from / 1000,
                        $to / 1000,
                        $attempt->bench->perception()->say($channel, $value),
                    );
                }
            }
        }
        foreach ($states as $s) {
            $text .= sprintf("%9.3f s  %s: %s\n", $s['from_s'], $s['control'], $s['state']);
        }

        return [
            [
                'model' => $plan->model->name(),
                'complaint' => $attempt->arrival->complaint,
                'labour_minutes' => $attempt->state->labour,
                'observations' => $attempt->observations->toArray(),
                'sequence' => $states,
            ],
            $text,
        ];
    }

    /**
     * The states of every control as they followed each other, from the arrival on.
     *
     * @return list<array{control: string, state: string, from_s: float}>
     */
    private function sequence(Plan $plan, Attempt $attempt, ActionLog $log): array
    {
        $bench = new Bench($plan, $attempt->bench->fault, new Memory(), $log->seed);
        $state = $bench->arrive($this->visit($plan, $log))->state;
        $bench->resume($state);
        $controls = $plan->those(Decides::class);
        $rows = [];
        $last = [];
        $note = function (BenchState $s) use (&$rows, &$last, $controls): bool {
            foreach ($controls as $id) {
                $now = $s->slots[$id]['state'];
                if (($last[$id] ?? null) !== $now) {
                    $rows[] = ['control' => $id, 'state' => $now, 'from_s' => ($s->now()) / 1000];
                    $last[$id] = $now;
                }
            }

            return false;
        };
        $note($state);
        foreach ($log->acts as $act) {
            $state = $bench->watch($state, $act->tick, $note);
            [$state] = $bench->do($state, $act);
            $note($state);
        }
        $bench->watch($state, $attempt->observations->until, $note);

        return $rows;
    }

    /** @return array{array<string, mixed>, string} */
    private function solve(Plan $plan): array
    {
        [$attempt, $at] = $this->momentOf($plan);
        $solution = $attempt->bench->machine()->solution($attempt->state);
        $rows = [];
        foreach ($plan->places as $place => $node) {
            [$re, $im] = $solution->acPhasor($node, 0);
            $rows[$place] = [
                'ac_v' => hypot($re, $im),
                'ac_degrees' => rad2deg(atan2($im, $re)),
                'dc_v' => $solution->dcVolts($node, 0),
            ];
        }

        return [
            ['model' => $plan->model->name(), 'at_s' => $at / 1000, 'against' => 'earth', 'places' => $rows],
            self::table(
                array_map(
                    fn ($p, $r) => [
                        $p,
                        sprintf('%.4f V AC %6.1f°', $r['ac_v'], $r['ac_degrees']),
                        sprintf('%.4f V DC', $r['dc_v']),
                    ],
                    array_keys($rows),
                    $rows,
                ),
            ),
        ];
    }

    /**
     * The run up to --at.
     *
     * @return array{Attempt, int}
     */
    private function momentOf(Plan $plan): array
    {
        if (! isset($this->options['--at'])) {
            throw new UsageError("\"$this->verb\" needs --at, seconds since the arrival.");
        }
        $at = $this->seconds('--at');
        $log = $this->log();
        $acts = array_values(array_filter($log->acts, fn ($a) => $a->tick <= $at));

        return [$this->attempt($plan, new ActionLog($acts, $log->visit, $log->seed), $at), $at];
    }

    /** @return array{array<string, mixed>, string} */
    private function spice(Plan $plan): array
    {
        [$attempt, $at] = $this->momentOf($plan);
        $text = SpiceDeck::of(
            $attempt->bench->machine(),
            $attempt->state,
            $attempt->bench->fault->id,
            $at / 1000,
            isset($this->options['--tran']),
        );

        return [['model' => $plan->model->name(), 'at_s' => $at / 1000, 'netlist' => $text], $text];
    }

    /** @return array{array<string, mixed>, string} */
    private function suspects(Plan $plan): array
    {
        if (isset($this->options['--observations'])) {
            $seen = Observations::fromArray($this->library->read($this->options['--observations'][0]));
        } elseif (isset($this->options['--actions'])) {
            $seen = $this->attempt($plan, $this->log())->observations;
        } else {
            throw new UsageError("\"$this->verb\" needs --observations, or --fault and --actions.");
        }

        return $this->verb === 'next'
            ? $this->proof($plan)->next($seen)
            : $this->proof($plan)->suspects($seen, isset($this->options['--pairs']));
    }

    private function proof(Plan $plan): Proof
    {
        return new Proof($plan, FaultSet::of($plan->model));
    }

    /** @return array{array<string, mixed>, string} */
    private function tree(Plan $plan): array
    {
        $fault = $this->options['--fault'][0] ?? null;
        if ($fault !== null) {
            FaultSet::of($plan->model)->get($fault);
        }

        return $this->proof($plan)->tree($this->visit($plan, $this->log()), $fault);
    }

    /** @return array{array<string, mixed>, string} */
    private function mark(Plan $plan): array
    {
        if (! isset($this->options['--fault'], $this->options['--actions'])) {
            throw new UsageError("\"$this->verb\" needs --fault and --actions.");
        }
        $faultSet = FaultSet::of($plan->model);
        $rules = Rules::of($this->library->rules($this->options['--rules'][0] ?? 'first-year'));
        $judging = new MarkAttempts(
            $plan,
            $faultSet,
            $faultSet->compound($this->options['--fault']),
            $this->attempt($plan, $this->log(), stops: $rules->stops),
        );

        return $this->verb === 'mark'
            ? $judging->mark($rules)
            : $judging->debrief($rules, isset($this->options['--html']));
    }

    /** @param list<string> $stops */
    private function attempt(Plan $plan, ActionLog $log, ?int $until = null, array $stops = []): Attempt
    {
        $fault = FaultSet::of($plan->model)->compound($this->options['--fault'] ?? []);

        return Attempt::run($plan, $fault, $log, $this->visit($plan, $log), new Memory(), $until, stops: $stops);
    }

    private function log(): ActionLog
    {
        return isset($this->options['--actions'])
            ? ActionLog::of($this->library->read($this->options['--actions'][0]))
            : new ActionLog([]);
    }

    private function visit(Plan $plan, ActionLog $log): string
    {
        $visits = $plan->model->visits();
        $visit = $this->options['--visit'][0] ?? $log->visit ?? $visits[0];
        if (! in_array($visit, $visits, true)) {
            throw new DocumentError('', "There is no visit \"$visit\"; this model has ".implode(', ', $visits).'.');
        }

        return $visit;
    }

    private function seconds(string $option): int
    {
        $value = $this->options[$option][0];
        if (! is_numeric($value) || $value < 0 || $value > 1e6) {
            throw new UsageError("$option takes seconds, from 0 to 1,000,000.");
        }

        return (int) round((float) $value * 1000);
    }

    /** @param list<list<string>> $rows */
    private static function table(array $rows): string
    {
        $widths = [];
        foreach ($rows as $row) {
            foreach ($row as $i => $cell) {
                $widths[$i] = max($widths[$i] ?? 0, mb_strlen($cell));
            }
        }
        $text = '';
        foreach ($rows as $row) {
            foreach ($row as $i => $cell) {
                $text .= $cell.str_repeat(' ', $widths[$i] - mb_strlen($cell) + 2);
            }
            $text = rtrim($text)."\n";
        }

        return $text;
    }
}
