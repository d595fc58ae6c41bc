<?php

namespace Tests\Feature;

use App\Models\User;
use App\Support\Workbook;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\School;
use Tests\TestCase;
use ZipArchive;

/** The record on paper and as a workbook, and a list of people out of one. */
class RecordSheetTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    public function test_what_is_written_to_a_workbook_is_read_again_and_nothing_is_a_formula(): void
    {
        $rows = [['name', 'mark'], ['=1+1', 70.5], ['Ana "A" & <B>', null], ["tab\tä\u{1}", 3]];
        $file = Workbook::write(['A [very] long/name of a sheet, longer than allowed' => $rows, 'Two' => [['x']]]);
        $this->assertSame(
            [['name', 'mark'], ['=1+1', '70.5'], ['Ana "A" & <B>', ''], ["tab\tä", '3']],
            Workbook::read($file),
        );
        $zip = new ZipArchive();
        file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'x'), $file);
        $zip->open($path);
        foreach (range(0, $zip->numFiles - 1) as $i) {
            $this->assertNotFalse(
                simplexml_load_string((string) $zip->getFromIndex($i)),
                (string) $zip->getNameIndex($i),
            );
        }
        $this->assertStringNotContainsString('<f>', (string) $zip->getFromName('xl/worksheets/sheet1.xml'));
        unlink($path);
    }

    public function test_a_workbook_as_spreadsheets_write_it_is_read_by_its_shared_texts_and_gaps(): void
    {
        $zip = new ZipArchive();
        $zip->open($path = (string) tempnam(sys_get_temp_dir(), 'x'), ZipArchive::OVERWRITE);
        $ns = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"';
        $zip->addFromString(
            'xl/sharedStrings.xml',
            "<sst $ns><si><t>name</t></si><si><r><t>An</t></r><r><t>nika</t></r></si></sst>",
        );
        $zip->addFromString(
            'xl/worksheets/sheet1.xml',
            "<worksheet $ns><sheetData><row r=\"1\"><c r=\"A1\" t=\"s\"><v>0</v></c></row><row r=\"2\"><c r=\"A2\" t=\"s\"><v>1</v></c><c r=\"C2\"><v>7</v></c></row></sheetData></worksheet>",
        );
        $zip->close();
        $this->assertSame([['name'], ['Annika', '', '7']], Workbook::read((string) file_get_contents($path)));
        foreach (['', 'x', 'PK'.str_repeat("\0", 40)] as $none) {
            $this->assertNull(Workbook::read($none));
        }
        $zip->open($path, ZipArchive::OVERWRITE);
        $zip->addFromString('xl/worksheets/sheet1.xml', str_repeat('<row/>', 2_000_000));
        $zip->close();
        $this->assertNull(Workbook::read((string) file_get_contents($path)), 'unfolds to too much');
        $zip->open($path, ZipArchive::OVERWRITE);
        $zip->addFromString(
            'xl/worksheets/sheet1.xml',
            "<!DOCTYPE a [<!ENTITY b SYSTEM \"file:///etc/passwd\">]><worksheet $ns><row><c><v>&b;</v></c></row></worksheet>",
        );
        $zip->close();
        $this->assertSame([], Workbook::read((string) file_get_contents($path)), 'nothing from elsewhere');
        unlink($path);
    }

    public function test_a_list_of_people_comes_out_of_a_workbook(): void
    {
        $file = base64_encode(
            Workbook::write(
                ['List' => [['Name', 'Mail'], ['Annika', 'annika@school.example'], ['', ''], ['Heron', '']]],
            ),
        );
        $csv = $this->actingAs($this->instructor)->postJson(
            "/courses/{$this->course->id}/roster/read",
            ['file' => $file],
        )->assertOk()->json('csv');
        $rows = $this->postJson(
            "/courses/{$this->course->id}/roster/preview",
            ['csv' => $csv],
        )->assertOk()->json('rows');
        $this->assertSame(['Annika', 'Heron'], array_column($rows, 'name'));
        $this->assertSame([null, null], array_column($rows, 'error'));
        $this->postJson("/courses/{$this->course->id}/roster/read", ['file' => 'bm8='])->assertUnprocessable();
    }

    public function test_the_record_of_a_class_is_a_workbook_and_of_a_person_a_sheet(): void
    {
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'hand_back', 0)->assertOk();
        $mark = $attempt->fresh()->mark['total'];
        $this->assertStringStartsWith('%PDF', (string) $this->get('/progress.pdf')->assertOk()->getContent());
        $this->actingAs($this->instructor);
        $rows = Workbook::read(
            (string) $this->get("/courses/{$this->course->id}/record.xlsx")->assertOk()->getContent(),
        );
        $this->assertSame(['trainee', 'A job'], $rows[0]);
        $this->assertContains([$this->trainee->name, (string) $mark], $rows);
        $this->assertStringStartsWith(
            '%PDF',
            (string) $this->get(
                "/courses/{$this->course->id}/people/{$this->trainee->id}/record.pdf",
            )->assertOk()->getContent(),
        );
        $stranger = User::factory()->create();
        $this->getJson("/courses/{$this->course->id}/people/$stranger->id/record.pdf")->assertNotFound();
    }
}
