<?php

// Each figure of each shipped model and of its kinds set to 0, -1, 1e9 and 1e-9: refused with a sentence, or run for a
// quarter of an hour within the bounds of a run that somebody waits for.

declare(strict_types=1);

require __DIR__.'/../../vendor/autoload.php';

use App\Building\Running;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Preview;
use OddSpark\Faults\Fault;
use OddSpark\Run\RunError;

set_error_handler(fn (int $n, string $m, string $f, int $l) => throw new ErrorException($m, 0, $n, $f, $l));
$leaves = function (array $value, array $path = []) use (&$leaves): array {
    $all = [];
    foreach ($value as $key => $v) {
        is_array($v)
            ? array_push($all, ...$leaves($v, [...$path, $key]))
            : (is_int($v) || is_float($v)
                ? ($all[] = [...$path, $key])
                : null);
    }

    return $all;
};
$every = (int) ($argv[1] ?? 1);
$library = new Library();
$tried = $refused = $stopped = 0;
$bad = [];
$longest = 0.0;
foreach ($library->names() as $name) {
    $document = $library->document($name);
    $document['kinds'] = $library->draft($document)->document['kinds'];
    foreach ($leaves($document) as $n => $path) {
        if (
            $n % $every !== 0 ||
            in_array($path[0], ['odd_spark_model', 'board'], true) ||
            array_intersect($path, ['at', 'via', 'size', 'version']) !== [] ||
            ($path[0] === 'parts' && end($path) === 'at')
        ) {
            continue;
        }
        foreach ([0, -1, 1e9, 1e-9] as $figure) {
            $tried++;
            $changed = $document;
            $place = &$changed;
            foreach ($path as $key) {
                $place = &$place[$key];
            }
            $place = $figure;
            unset($place);
            $since = microtime(true);
            try {
                $model = $library->resolve(
                    json_decode((string) json_encode($changed, JSON_PRESERVE_ZERO_FRACTION), true),
                );
                Preview::of(Compiler::compile($model), Fault::none(), $model->visits()[0], 900_000, Running::memory());
            } catch (DocumentError) {
                $refused++;
            } catch (RunError) {
                $stopped++;
            } catch (Throwable $e) {
                $bad[] =
                    "$name /".
                    implode('/', $path).
                    " = $figure: ".
                    get_class($e).
                    ' '.
                    $e->getMessage().
                    ' '.
                    basename($e->getFile()).
                    ':'.
                    $e->getLine();
            }
            $longest = max($longest, microtime(true) - $since);
        }
    }
}
printf(
    "  %d figures tried: %d refused, %d stopped with a sentence, the longest %.1f s\n",
    $tried,
    $refused,
    $stopped,
    $longest,
);
foreach (array_slice($bad, 0, 10) as $line) {
    echo "  $line\n";
}
exit($bad === [] && $longest < 30 ? 0 : 1);
