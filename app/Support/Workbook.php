<?php

namespace App\Support;

use RuntimeException;
use XMLReader;
use ZipArchive;

/**
 * Sheets of a workbook as spreadsheets have them (Office Open XML, ECMA-376): rows of texts and numbers written, and
 * the
 * first sheet read. No package that does it runs on this PHP.
 *
 * @phpstan-type Row list<string|int|float|null>
 */
class Workbook
{
    private const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

    private const RELATION = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

    private const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';

    /** Bytes that an entry may unfold to: a small file can be made to unfold to gigabytes. */
    private const MOST_BYTES = 8_000_000;

    private const MOST_ROWS = 2000;

    private const MOST_COLUMNS = 40;

    /**
     * @param array<string, list<Row>> $sheets rows by the name of the sheet; the first row is set bold
     * @return string the file
     */
    public static function write(array $sheets): string
    {
        $file = tempnam(sys_get_temp_dir(), 'workbook') ?: throw new RuntimeException('No room for a file.');
        $zip = new ZipArchive();
        $zip->open($file, ZipArchive::OVERWRITE);
        $numbers = range(1, count($sheets));
        $each = fn (callable $line): string => implode('', array_map($line, $numbers, array_keys($sheets)));
        $zip->addFromString('[Content_Types].xml', self::xml('Types', self::PACKAGE.'/content-types',
            '<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>'.
            '<Default Extension="xml" ContentType="application/xml"/>'.
            '<Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/>'.
            '<Override PartName="/xl/styles.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.styles+xml"/>'.
            $each(fn (int $n) => "<Override PartName=\"/xl/worksheets/sheet$n.xml\" ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml\"/>")));
        $zip->addFromString('_rels/.rels', self::xml('Relationships', self::PACKAGE.'/relationships',
            '<Relationship Id="rId1" Type="'.self::RELATION.'/officeDocument" Target="xl/workbook.xml"/>'));
        $zip->addFromString('xl/workbook.xml', self::xml('workbook', self::MAIN,
            '<sheets>'.$each(
                fn (int $n, string $name) => '<sheet name="'.self::escaped(
                    mb_substr((string) preg_replace('#[\\\\/?*\[\]:]#', ' ', $name), 0, 31),
                )."\" sheetId=\"$n\" r:id=\"rId$n\"/>",
            ).'</sheets>',
            ' xmlns:r="'.self::RELATION.'"'));
        $styles = count($sheets) + 1;
        $zip->addFromString('xl/_rels/workbook.xml.rels', self::xml('Relationships', self::PACKAGE.'/relationships',
            $each(
                fn (int $n) => "<Relationship Id=\"rId$n\" Type=\"".self::RELATION."/worksheet\" Target=\"worksheets/sheet$n.xml\"/>",
            ).
            "<Relationship Id=\"rId$styles\" Type=\"".self::RELATION.'/styles" Target="styles.xml"/>'));
        $zip->addFromString('xl/styles.xml', self::xml('styleSheet', self::MAIN,
            '<fonts count="2"><font><sz val="11"/></font><font><b/><sz val="11"/></font></fonts>'.
            '<fills count="1"><fill><patternFill patternType="none"/></fill></fills><borders count="1"><border/></borders>'.
            '<cellStyleXfs count="1"><xf/></cellStyleXfs><cellXfs count="2"><xf/><xf fontId="1" applyFont="1"/></cellXfs>'));
        foreach (array_values($sheets) as $i => $rows) {
            $zip->addFromString('xl/worksheets/sheet'.($i + 1).'.xml', self::xml('worksheet', self::MAIN,
                '<sheetData>'.implode('', array_map(self::row(...), $rows, array_keys($rows))).'</sheetData>'));
        }
        $zip->close();
        $content = (string) file_get_contents($file);
        unlink($file);

        return $content;
    }

    /**
     * The rows of the first sheet; null when it is no workbook, or one that unfolds to more than a list.
     *
     * @return list<list<string>>|null
     */
    public static function read(string $content): ?array
    {
        $file = tempnam(sys_get_temp_dir(), 'workbook') ?: throw new RuntimeException('No room for a file.');
        file_put_contents($file, $content);
        $zip = new ZipArchive();
        try {
            if ($zip->open($file, ZipArchive::RDONLY) !== true) {
                return null;
            }
            $sheet = self::entry($zip, 'xl/worksheets/sheet1.xml');

            return $sheet === null ? null : self::rows($sheet, self::shared(self::entry($zip, 'xl/sharedStrings.xml')));
        } finally {
            unlink($file);
        }
    }

    private static function entry(ZipArchive $zip, string $name): ?string
    {
        $size = $zip->statName($name)['size'] ?? null;

        return $size === null || $size > self::MOST_BYTES ? null : ($zip->getFromName($name) ?: null);
    }

    /** @return list<string> texts that cells name by their number */
    private static function shared(?string $xml): array
    {
        $texts = [];
        foreach ($xml === null ? [] : self::elements($xml, 'si') as $item) {
            $texts[] = self::text($item);
        }

        return $texts;
    }

    /**
     * @param list<string> $shared
     * @return list<list<string>>
     */
    private static function rows(string $xml, array $shared): array
    {
        $rows = [];
        foreach (self::elements($xml, 'row') as $row) {
            if (count($rows) === self::MOST_ROWS) {
                break;
            }
            $cells = [];
            foreach ($row->getElementsByTagName('c') as $i => $cell) {
                $at = self::column($cell->getAttribute('r')) ?? (int) $i;
                if ($at >= self::MOST_COLUMNS) {
                    break;
                }
                $value = self::text($cell->getElementsByTagName('v')->item(0) ?? $cell);
                $cells[$at] = $cell->getAttribute('t') === 's' ? $shared[(int) $value] ?? '' : $value;
            }
            $rows[] = $cells === []
                ? []
                : array_map(fn (int $at) => $cells[$at] ?? '', range(0, max(array_keys($cells))));
        }

        return $rows;
    }

    /** @return \Generator<\DOMElement> elements of a name, one after the other; nothing from elsewhere is loaded */
    private static function elements(string $xml, string $name): \Generator
    {
        $reader = new XMLReader();
        $reader->XML($xml, null, LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING);
        while (@$reader->read()) {
            if ($reader->nodeType === XMLReader::DOC_TYPE) {
                return; // a workbook has none
            }
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === $name) {
                $element = $reader->expand();
                if ($element instanceof \DOMElement) {
                    yield $element;
                }
            }
        }
    }

    private static function text(\DOMElement $element): string
    {
        return trim($element->textContent);
    }

    /** The number of a column by its letters, from 0. */
    private static function column(string $reference): ?int
    {
        if (preg_match('/^([A-Z]{1,3})\d+$/', $reference, $found) !== 1) {
            return null;
        }
        $number = 0;
        foreach (str_split($found[1]) as $letter) {
            $number = 26 * $number + ord($letter) - 64;
        }

        return $number - 1;
    }

    /** @param Row $cells */
    private static function row(array $cells, int $number): string
    {
        $style = $number === 0 ? ' s="1"' : '';
        $line = implode('', array_map(fn (string|int|float|null $cell): string => match (true) {
            $cell === null || $cell === '' => '<c/>',
            is_string($cell) => "<c t=\"inlineStr\"$style><is><t xml:space=\"preserve\">".self::escaped($cell).'</t></is></c>',
            default => "<c$style><v>$cell</v></c>",
        }, $cells));

        return '<row r="'.($number + 1)."\">$line</row>";
    }

    private static function xml(string $root, string $namespace, string $content, string $more = ''): string
    {
        return "<?xml version=\"1.0\" encoding=\"UTF-8\" standalone=\"yes\"?>\n<$root xmlns=\"$namespace\"$more>$content</$root>";
    }

    /** Texts stay texts in a workbook: none is taken for a formula. */
    private static function escaped(string $text): string
    {
        $clean = (string) preg_replace(
            '/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u',
            '',
            $text,
        );

        return htmlspecialchars($clean, ENT_QUOTES | ENT_XML1);
    }
}
