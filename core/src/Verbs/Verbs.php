<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Acts\ActError;
use OddSpark\Appliance\DocumentError;
use Symfony\Component\Console\Application;
use Symfony\Component\Console\Exception\CommandNotFoundException;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Input\ArgvInput;
use Symfony\Component\Console\Output\ConsoleOutput;

/** The core on the command line, without the web. Formats: docs/verbs.md. */
final class Verbs
{
    private const BAD_INPUT = 1;

    private const BAD_USAGE = 2;

    /** @var list<class-string<Verb>> */
    private const VERBS = [
        ListModels::class,
        ListFaults::class,
        TellTables::class,
        Arrive::class,
        DrawChart::class,
        Run::class,
        Spice::class,
        Solve::class,
        TellSuspects::class,
        TellNext::class,
        TellClasses::class,
        GrowTree::class,
        Mark::class,
        Debrief::class,
    ];

    /**
     * @param list<string> $words
     * @return int 0 done, 1 bad input, 2 bad usage
     */
    public static function main(array $words): int
    {
        if ($words === []) {
            return self::refuse('Say what to do: "list" tells what there is.', self::BAD_USAGE);
        }
        $console = new Application('spark');
        $console->setAutoExit(false);
        $console->setCatchExceptions(false);
        foreach (self::VERBS as $verb) {
            $console->addCommand(new $verb());
        }
        try {
            return $console->run(new ArgvInput(['spark', ...$words]), new ConsoleOutput());
        } catch (CommandNotFoundException) {
            return self::refuse("There is no verb \"$words[0]\". See ./spark list.", self::BAD_USAGE);
        } catch (UsageError|ExceptionInterface $e) {
            return self::refuse($e->getMessage(), self::BAD_USAGE);
        } catch (DocumentError|ActError|\DomainException|\OutOfBoundsException $e) {
            return self::refuse($e->getMessage(), self::BAD_INPUT);
        }
    }

    private static function refuse(string $why, int $code): int
    {
        fwrite(STDERR, "$why\n");

        return $code;
    }
}
