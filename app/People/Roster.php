<?php

namespace App\People;

use App\Models\User;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Validator;

/**
 * A list of people as a spreadsheet gives it: one a line, a name and, if there is one, a mail address; parted by
 * commas,
 * semicolons or tabs. A first line that names the columns is understood in any order.
 *
 * @phpstan-type Row array{line: int, name: string, mail: string, error: string|null}
 */
class Roster
{
    public const MOST = 500;

    private const NAMES = ['name', 'trainee', 'student', 'full name'];

    private const MAILS = ['mail', 'email', 'e-mail', 'mail address', 'email address'];

    /**
     * @return list<Row> the people of a list, each with what is wrong with its line
     */
    public static function read(string $csv): array
    {
        $lines = preg_split('/\r\n|\r|\n/', ltrim($csv, "\u{FEFF}")) ?: [];
        $first = $lines[0] ?? '';
        $mark = collect([';', "\t", ','])->sortByDesc(fn (string $m) => substr_count($first, $m))->first();
        [$name, $mail, $skips] = self::columns(
            array_map(self::plain(...), str_getcsv($first, (string) $mark, '"', '')),
        );
        $rows = [];
        foreach ($lines as $i => $line) {
            if (trim($line) === '' || ($i === 0 && $skips)) {
                continue;
            }
            $fields = array_map(trim(...), array_map(strval(...), str_getcsv($line, (string) $mark, '"', '')));
            $rows[] = [
                'line' => $i + 1, 'name' => $fields[$name] ?? '', 'mail' => mb_strtolower($fields[$mail] ?? ''),
                'error' => null,
            ];
        }

        return self::checked($rows);
    }

    /**
     * @param list<string> $head
     * @return array{int, int, bool} where name and mail stand, and whether the line names columns
     */
    private static function columns(array $head): array
    {
        $name = array_keys(array_intersect($head, self::NAMES))[0] ?? null;
        $mail = array_keys(array_intersect($head, self::MAILS))[0] ?? null;

        return [$name ?? ($mail === 0 ? 1 : 0), $mail ?? ($name === 1 ? 0 : 1), $name !== null || $mail !== null];
    }

    private static function plain(?string $word): string
    {
        return mb_strtolower(trim((string) $word));
    }

    /**
     * @param list<Row> $rows
     * @return list<Row>
     */
    private static function checked(array $rows): array
    {
        $mails = array_filter(array_column($rows, 'mail'));
        /** @var Collection<string, int> $taken */
        $taken = User::query()->whereIn('email', $mails)->pluck('id', 'email');
        $seen = [];
        foreach ($rows as $i => $row) {
            $rows[$i]['error'] = match (true) {
                $i >= self::MOST => 'A list has at most '.self::MOST.' people. Split it.',
                $row['name'] === '' => 'There is no name.',
                mb_strlen($row['name']) > 120 => 'The name is longer than 120 characters.',
                $row['mail'] === '' => null,
                Validator::make($row, ['mail' => 'email|max:200'])->fails() => "\"{$row['mail']}\" is no mail address.",
                isset($seen[$row['mail']]) => "The same address stands in line {$seen[$row['mail']]}.",
                isset(
                    $taken[$row['mail']],
                ) => 'Somebody signs in with that address already. Let them join with the code of the class.',
                default => null,
            };
            if ($row['mail'] !== '') {
                $seen[$row['mail']] ??= $row['line'];
            }
        }

        return $rows;
    }
}
