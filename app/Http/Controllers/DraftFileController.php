<?php

namespace App\Http\Controllers;

use App\Bench\Workbench;
use App\Building\Running;
use App\Models\Draft;
use Dompdf\Dompdf;
use Illuminate\Http\Response;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Building\WireList;
use OddSpark\Drawing\Chart;
use OddSpark\Drawing\Sheet;

/** A model that is being made, as a file: its document, its wires, its netlist, its drawings. */
class DraftFileController extends Controller
{
    public function __construct(private readonly Library $library, private readonly Running $running, private readonly Workbench $workbench) {}

    public function __invoke(Draft $draft, string $what): Response
    {
        $this->authorize('edit', $draft);
        try {
            [$type, $text] = match ($what) {
                'model.json' => ['application/json', $draft->document],
                'wires.csv' => ['text/csv; charset=utf-8', "\u{FEFF}".WireList::csv($draft->content())],
                'netlist.cir' => ['text/plain; charset=utf-8', $this->netlist($draft)],
                'board.svg', 'board.pdf' => ['image/svg+xml', Sheet::board($this->library->draft($draft->content()))],
                'ladder.svg', 'ladder.pdf' => ['image/svg+xml', Sheet::ladder($this->library->draft($draft->content()))],
                'sequence.svg', 'sequence.pdf' => ['image/svg+xml', $this->chart($draft)],
                default => abort(404),
            };
        } catch (DocumentError $e) {
            return response("It cannot run yet, so there is no such file. {$e->getMessage()}\n", 422, ['Content-Type' => 'text/plain; charset=utf-8']);
        }
        if (str_ends_with($what, '.pdf')) {
            [$type, $text] = ['application/pdf', $this->pdf($text)];
        }

        return response($text, 200, ['Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="'.$draft->name.'-'.$what.'"']);
    }

    /** The healthy appliance at its arrival, for a general-purpose simulator. */
    private function netlist(Draft $draft): string
    {
        $run = $this->running->at($draft, '', 0.0);

        return $run->netlist();
    }

    private function chart(Draft $draft): string
    {
        $tape = $this->running->tape($draft, '', $this->workbench);
        $stretches = fn (array $list): array => array_map(fn (array $s) => [$s['from'], $s['to'], $s['value']], $list);
        $lanes = array_map(fn (array $lane) => ['name' => $lane['name'], 'tone' => $lane['tone'], 'stretches' => $stretches($tape['perceived'][$lane['channel']] ?? [])], $draft->content()['tape']);
        $states = [];
        foreach ($tape['states'] as $i => $s) {
            $states[] = [$s['at'], $tape['states'][$i + 1]['at'] ?? (float) $tape['until_s'], $s['title']];
        }

        return Chart::svg($draft->title, $lanes, $states === [] ? [] : [['name' => 'Control', 'stretches' => $states]], (float) $tape['until_s']);
    }

    private function pdf(string $svg): string
    {
        $pdf = new Dompdf(['isRemoteEnabled' => false, 'isPhpEnabled' => false, 'tempDir' => storage_path('framework/cache'), 'fontCache' => storage_path('framework/cache')]);
        $pdf->loadHtml('<html><body style="margin:0"><img style="width:100%" src="data:image/svg+xml;base64,'.base64_encode($svg).'"></body></html>');
        $pdf->setPaper('A3', 'landscape');
        $pdf->render();

        return (string) $pdf->output();
    }
}
