<?php

namespace Tests\Feature;

use App\Models\AttemptEvent;
use App\Models\AttemptEventKind;
use App\Records\ExamPaper;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\School;
use Tests\TestCase;

/** An attempt for the file, signed: whoever changes a letter of it is found out. */
class PaperTest extends TestCase
{
    use RefreshDatabase, School;

    /** Test 1 of RFC 8032, 7.1: secret key (in phpunit.xml) and its public key. */
    private const PUBLIC = 'd75a980182b10ab7d54bfed3c964073a0ee172f3daa62325af021a68f707511a';

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function paper(): string
    {
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'look', 0, ['part' => 'thermostat'])->assertOk();
        AttemptEvent::note($attempt, null, AttemptEventKind::LeftPage, seconds: 7);
        $this->act($attempt, 'hand_back', 0)->assertOk();

        return (string) $this->get("/attempts/$attempt->id/paper.json")->assertOk()->getContent();
    }

    public function test_the_key_is_that_of_the_standard(): void
    {
        $this->assertSame(self::PUBLIC, ExamPaper::publicKey());
    }

    public function test_a_paper_holds_everything_and_verifies_also_when_it_was_laid_out_anew(): void
    {
        $file = $this->paper();
        $paper = json_decode($file, true);
        $this->assertSame(['look', 'hand_back'], array_column(array_column($paper['paper']['entries'], 'act'), 'act'));
        $this->assertSame('left page', $paper['paper']['noted'][0]['what']);
        $this->assertCount(1, $paper['paper']['marks']);
        $this->assertSame($paper['key'], self::PUBLIC);
        $this->assertNull(ExamPaper::fault($file));
        $this->assertNull(ExamPaper::fault($file, self::PUBLIC));
        $pretty = json_encode($paper, JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION);
        $this->assertNull(ExamPaper::fault((string) $pretty), 'blanks are not signed');
    }

    public function test_every_change_is_found(): void
    {
        $paper = json_decode($this->paper(), true);
        $changes = [
            'mark' => fn (array &$p) => $p['paper']['stands']['total'] += 1,
            'passed' => fn (array &$p) => $p['paper']['stands']['passed'] = ! $p['paper']['stands']['passed'],
            'name' => fn (array &$p) => $p['paper']['trainee']['name'] .= 'x',
            'an entry less' => fn (array &$p) => array_pop($p['paper']['entries']),
            'entries turned round' => fn (array &$p) => $p['paper']['entries'] = array_reverse($p['paper']['entries']),
            'what was noted' => fn (array &$p) => $p['paper']['noted'] = [],
            'one more field' => fn (array &$p) => $p['paper']['more'] = 1,
            'beside it' => fn (array &$p) => $p['more'] = 1,
            'signature' => fn (array &$p) => $p['signature'] = strrev($p['signature']),
            'no signature' => fn (array &$p) => $p['signature'] = null,
            'key' => fn (array &$p) => $p['key'] = strrev($p['key']),
        ];
        foreach ($changes as $what => $change) {
            $other = $paper;
            $change($other);
            $this->assertNotNull(ExamPaper::fault((string) json_encode($other, JSON_PRESERVE_ZERO_FRACTION)), $what);
        }
        // signed anew by somebody else, with his key in it
        $pair = sodium_crypto_sign_keypair();
        $bytes = json_encode(
            $paper['paper'],
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        );
        $forged = [
            'key' => sodium_bin2hex(sodium_crypto_sign_publickey($pair)),
            'signature' => sodium_bin2hex(
                sodium_crypto_sign_detached((string) $bytes, sodium_crypto_sign_secretkey($pair)),
            ),
        ] + $paper;
        $this->assertStringContainsString('another key', (string) ExamPaper::fault((string) json_encode($forged)));
        $this->assertNull(ExamPaper::fault((string) json_encode($forged, JSON_PRESERVE_ZERO_FRACTION), $forged['key']));
        foreach (['', 'x', '[]', '{"format":"odd-spark-paper 1"}'] as $none) {
            $this->assertSame('This is no paper of Odd Spark.', ExamPaper::fault($none));
        }
    }
}
