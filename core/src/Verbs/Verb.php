<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Acts\ActionLog;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Observations;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * A verb of the core on the command line: what it takes, and its answer as text or, with --json, as one JSON object.
 */
abstract class Verb extends Command
{
    public const VERSION = 1;

    protected const NAME = '';

    protected const ABOUT = '';

    /** Whether it is about a model. */
    protected const OF_MODEL = true;

    /** @var list<string> options that it takes, of {@see VALUES} and {@see FLAGS} */
    protected const TAKES = [];

    /** Options with a value, and what it is. */
    private const VALUES = [
        'actions' => 'an action log: FILE',
        'observations' => 'what was seen: FILE',
        'visit' => 'how the appliance is found: NAME',
        'until' => 'seconds after the arrival',
        'at' => 'seconds after the arrival',
        'rules' => 'house rules: NAME or FILE',
    ];

    private const FLAGS = ['tran' => 'a transient', 'pairs' => 'two faults at once too', 'html' => 'a sheet to print'];

    private const LATEST_S = 1e6;

    protected Library $library;

    private InputInterface $input;

    private ?Plan $plan = null;

    /** @throws UsageError|DocumentError */
    abstract protected function answer(): Answer;

    protected function configure(): void
    {
        $this->setName(static::NAME)->setDescription(static::ABOUT);
        if (static::OF_MODEL) {
            $this->addArgument('model', InputArgument::OPTIONAL, 'a shipped name or a file');
        }
        foreach (static::TAKES as $option) {
            match (true) {
                $option === 'fault' => $this->addOption(
                    'fault',
                    null,
                    InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY,
                    'PART:MODE[@DEGREE], once or more',
                ),
                isset(self::FLAGS[$option]) => $this->addOption(
                    $option,
                    null,
                    InputOption::VALUE_NONE,
                    self::FLAGS[$option],
                ),
                default => $this->addOption($option, null, InputOption::VALUE_REQUIRED, self::VALUES[$option]),
            };
        }
        $this->addOption('json', null, InputOption::VALUE_NONE, 'one JSON object');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $this->input = $input;
        $this->library = new Library();
        if (static::OF_MODEL && $input->getArgument('model') === null) {
            throw new UsageError('"'.static::NAME.'" needs a model: a shipped name or a file.');
        }
        $answer = $this->answer();
        $flags = JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;
        $text = $input->getOption('json')
            ? json_encode(['verbs' => self::VERSION] + $answer->data, $flags)."\n"
            : $answer->text;
        $output->write($text, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    protected function plan(): Plan
    {
        return $this->plan ??= Compiler::compile($this->library->model((string) $this->input->getArgument('model')));
    }

    protected function faultSet(): FaultSet
    {
        return FaultSet::of($this->plan()->model);
    }

    protected function value(string $option): ?string
    {
        return $this->input->getOption($option);
    }

    protected function has(string $option): bool
    {
        return ! in_array($this->input->getOption($option), [null, false, []], true);
    }

    /** @return list<string> ids of faults */
    protected function faults(): array
    {
        return $this->input->getOption('fault');
    }

    protected function log(): ActionLog
    {
        $file = in_array('actions', static::TAKES, true) ? $this->value('actions') : null;

        return $file === null ? new ActionLog([]) : ActionLog::of(DocumentFile::read($file));
    }

    /** The visit that is asked for, else the log's, else the first. */
    protected function visit(?ActionLog $log = null): string
    {
        $visits = $this->plan()->model->visits();
        $visit = $this->value('visit') ?? ($log->visit ?? $visits[0]);
        if (! in_array($visit, $visits, true)) {
            throw new DocumentError('', "There is no visit \"$visit\"; this model has ".implode(', ', $visits).'.');
        }

        return $visit;
    }

    /** Ticks of an option in seconds. */
    protected function seconds(string $option): int
    {
        $value = $this->value($option);
        if (! is_numeric($value) || $value < 0 || $value > self::LATEST_S) {
            throw new UsageError("--$option takes seconds, from 0 to 1,000,000.");
        }

        return (int) round((float) $value * 1000);
    }

    /** @param list<string> $stops dangers that the house rules stop */
    protected function attempt(ActionLog $log, ?int $until = null, array $stops = []): Attempt
    {
        $fault = $this->faultSet()->compound($this->faults());

        return Attempt::run($this->plan(), $fault, $log, $this->visit($log), new Memory(), $until, stops: $stops);
    }

    protected function proof(): Proof
    {
        return new Proof($this->plan(), $this->faultSet());
    }

    /** What was seen, from a file or from a run made first. */
    protected function seen(): Observations
    {
        return match (true) {
            $this->has('observations') => Observations::fromArray(
                DocumentFile::read((string) $this->value('observations')),
            ),
            $this->has('actions') => $this->attempt($this->log())->observations,
            default => throw new UsageError('"'.static::NAME.'" needs --observations, or --fault and --actions.'),
        };
    }

    /** @return array{MarkAttempts, Rules} the attempt to be marked, and by which rules */
    protected function marking(): array
    {
        if (! $this->has('fault') || ! $this->has('actions')) {
            throw new UsageError('"'.static::NAME.'" needs --fault and --actions.');
        }
        $rules = Rules::of($this->library->rules($this->value('rules') ?? 'first-year'));
        $attempt = $this->attempt($this->log(), stops: $rules->stops);
        $fault = $this->faultSet()->compound($this->faults());

        return [new MarkAttempts($this->plan(), $this->faultSet(), $fault, $attempt), $rules];
    }

    /**
     * The run up to --at.
     *
     * @return array{Attempt, int}
     */
    protected function moment(): array
    {
        if (! $this->has('at')) {
            throw new UsageError('"'.static::NAME.'" needs --at, seconds since the arrival.');
        }
        $at = $this->seconds('at');
        $log = $this->log();
        $acts = array_values(array_filter($log->acts, fn ($a): bool => $a->tick <= $at));

        return [$this->attempt(new ActionLog($acts, $log->visit, $log->seed), $at), $at];
    }
}
