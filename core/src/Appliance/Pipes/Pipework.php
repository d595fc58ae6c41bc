<?php

declare(strict_types=1);

namespace OddSpark\Appliance\Pipes;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Medium;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Primitives;
use OddSpark\Appliance\Shapes;
use OddSpark\Parts\Ability\Analyses;

/**
 * What the pipes of a model come to: a network for each medium, with its joints; what each sensor feels; where
 * instruments are put. It is told in the document, as process, links and taps, so that whoever computes with a model
 * knows nothing of pipes; laid a second time it comes out the same.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class Pipework
{
    /** Instruments that draw from a flue, and what each of them measures. */
    private const OF_FLUE_GAS = [
        'analyser' => 'oxygen',
        'analyser_co2' => 'co2',
        'analyser_co' => 'co',
        'analyser_efficiency' => 'efficiency',
        'smoke' => 'smoke',
    ];

    /** Links of what sits in a flue: the burner that burns into it, and what its gas is. */
    private const FIRE = 'fire';

    private const GAS = 'gas';

    private readonly Ports $ports;

    /** @param ModelDocument $d with its kinds */
    private function __construct(private array $d)
    {
        $this->ports = new Ports($d);
    }

    /**
     * @param ModelDocument $document with its kinds
     * @return ModelDocument
     *
     * @throws DocumentError when a pipe joins what cannot be joined
     */
    public static function laid(array $document): array
    {
        return ($document['pipes'] ?? []) === [] ? $document : (new self($document))->whole();
    }

    /** @return ModelDocument */
    private function whole(): array
    {
        foreach ($this->d['pipes'] ?? [] as $i => $pipe) {
            $this->ports->join($pipe['from'], $pipe['to'], "/pipes/$i");
        }
        foreach (Networks::of($this->d, $this->ports) as $name => $network) {
            $this->d['process'][$name] = $network;
        }
        $this->seats();
        $this->taps();

        return $this->d;
    }

    /** What sits where: who asks for a temperature, a flame or a pressure is told whose. */
    private function seats(): void
    {
        $links = $lights = [];
        foreach ($this->d['pipes'] ?? [] as ['from' => $from, 'to' => $to]) {
            foreach ([[$from, $to], [$to, $from]] as [$one, $other]) {
                $asks = $this->ports->at($one);
                $gives = $this->ports->at($other);
                [$part] = Model::split($one);
                [$beside] = Model::split($other);
                if ($asks->link !== null && $gives->of !== null) {
                    $links[$part][$asks->link] = "$beside.{$gives->of}";
                }
                if ($asks->frameLink !== null && $gives->frame !== null) {
                    $links[$part][$asks->frameLink] = "$beside.{$gives->frame}";
                }
                if ($asks->terminalLink !== null && $gives->terminal !== null) {
                    $links[$part][$asks->terminalLink] = "$beside.{$gives->terminal}";
                }
                if ($asks->of !== null && $gives->lights !== null) {
                    $lights["$part.{$asks->of}"][] = ['by' => "$beside.{$gives->lights['by']}"] + $gives->lights;
                }
            }
        }
        foreach ($this->ports->all as $place => $port) { // a diaphragm at the end of a hose
            [$part] = Model::split($place);
            if ($port->link === null || $this->ports->joint($place) === null) {
                continue;
            }
            if ($port->medium === Medium::Flue && $port->link === self::FIRE) {
                $links[$part] = ($links[$part] ?? []) + array_filter([
                    self::FIRE => $this->burnsInto($place),
                    self::GAS => $this->analysed($place, 'oxygen'),
                ]);
            } elseif ($port->medium->flows() && ! isset($links[$part][$port->link])) {
                $links[$part][$port->link] = $this->pressureAt($place);
            }
        }
        foreach ($this->d['parts'] as $i => $part) {
            if (($links[$part['id']] ?? []) !== []) {
                $this->d['parts'][$i]['links'] = $links[$part['id']] + ($part['links'] ?? []);
            }
        }
        foreach ($lights as $fire => $conditions) {
            $this->d['lights'][$fire] = $conditions;
        }
    }

    private function taps(): void
    {
        foreach ($this->ports->all as $place => $port) {
            [$part] = Model::split($place);
            if ($port->medium->flows() && $this->ports->joint($place) === null) {
                continue;
            }
            foreach ($port->taps as $tap) {
                $measures = self::OF_FLUE_GAS[$tap['instrument']] ?? null;
                $of = match (true) {
                    $measures !== null => $this->analysed($place, $measures),
                    $port->of !== null => "$part.{$port->of}",
                    default => $this->pressureAt($place),
                };
                if ($of !== null) {
                    $this->tap($part, $tap, $of);
                }
            }
        }
    }

    /** @param array{name: string, instrument: string, label: string, row?: string} $tap */
    private function tap(string $part, array $tap, string $of): void
    {
        [$within, $local] = strrpos($part, '.') === false
            ? ['', $part]
            : [substr($part, 0, strrpos($part, '.') + 1), substr($part, strrpos($part, '.') + 1)];
        $made = ['of' => $of, 'instrument' => $tap['instrument'], 'part' => $part, 'label' => $tap['label']] +
            array_intersect_key($tap, ['row' => 1]);
        $id = $within.$tap['name'];
        if (($this->d['taps'][$id]['part'] ?? $part) !== $part) {
            $id .= "-$local"; // another part has one of that name
        }
        // what it leads to follows from the pipes as they are now; what it is called may have been changed
        $this->d['taps'][$id] = ['of' => $of] + ($this->d['taps'][$id] ?? []) + $made;
    }

    /** What an instrument in the flue draws from, of the part that is nearest along it; null when nothing burns. */
    private function analysed(string $place, string $measures): ?string
    {
        return $this->burnsInto($place) === null ? null : $this->ports->nearest(
            $place,
            fn (string $there): ?string => $this->analysing(Model::split($there)[0], $measures),
        );
    }

    /** What of a part tells what an instrument measures; null when nothing does. */
    private function analysing(string $id, string $measures): ?string
    {
        foreach ($this->d['parts'] as $part) {
            foreach ($part['id'] === $id ? $this->d['kinds'][$part['kind']]['primitives'] : [] as $name => $spec) {
                $type = Primitives::TYPES[$spec['type']] ?? '';
                if (is_a($type, Analyses::class, true) && $type::measures($spec) === $measures) {
                    return "$id.$name";
                }
            }
        }

        return null;
    }

    /** The burner that is nearest to a port; null for none. */
    private function burnsInto(string $place): ?string
    {
        return $this->ports->nearest($place, function (string $there): ?string {
            $of = $this->ports->at($there)->of;

            return $of === null ? null : Model::split($there)[0].".$of";
        });
    }

    /** The process that follows the pressure at a port. */
    private function pressureAt(string $place): string
    {
        $port = $this->ports->at($place);
        $joint = $this->ports->jointOf($place);
        $id = "{$port->medium->value}-pressure-$joint".($port->suction ? '-below' : '');
        $this->d['process'][$id] = [
            'type' => 'joint-pressure',
            'network' => Networks::named($port->medium),
            'joint' => $joint,
            'tau_s' => $port->medium === Medium::Flue ? 0.8 : 0.3,
        ] + ($port->suction ? ['turned' => -1.0] : []);

        return $id;
    }
}
