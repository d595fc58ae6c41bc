<?php

namespace Tests\Feature;

/** Who may do what: each route of the router, and of an attempt. */
trait WhoMay
{
    /** @return array<string, list<string>> by method and address, who may */
    private static function may(): array
    {
        $rows = [
            'GET up' => self::ALL,
            // before one is signed in: who is, is sent on
            'GET login' => self::ALL, 'POST login' => self::ALL, 'POST forgot' => self::ALL,
            'GET login/second' => self::ALL, 'POST login/second' => self::ALL,
            'GET join' => self::ALL, 'POST join' => self::ALL,
            'GET link/{token}' => self::ALL, 'POST link/{token}' => self::ALL,
            // one's own
            'POST logout' => self::SIGNED_IN, 'GET ' => self::SIGNED_IN,
            'GET account' => self::SIGNED_IN, 'POST account/password' => self::SIGNED_IN,
            'POST account/sign-out-elsewhere' => self::SIGNED_IN, 'POST account/join' => self::TRAINEES,
            'DELETE account/sessions/{key}' => [], 'GET account/confirm' => self::SIGNED_IN,
            'POST account/confirm' => self::SIGNED_IN,
            'POST account/second-factor' => self::STAFF, 'POST account/second-factor/prove' => self::STAFF,
            'POST account/second-factor/codes' => [], 'DELETE account/second-factor' => self::STAFF,
            'GET progress' => self::SIGNED_IN, 'GET reference' => self::SIGNED_IN,
            'GET judging' => self::SIGNED_IN,
            'POST reference/sums/{sum}' => self::SIGNED_IN,
            'POST warm-up' => ['leader', 'colleague', 'lent', 'reader', 'other', 'worker', 'classmate', 'outsider'],
            'GET tasks/{task}' => ['leader'],
            // classes
            'GET people' => self::TEACH, 'POST courses' => self::TEACH, 'GET assess' => self::STAFF,
            'GET courses/{course}/record' => self::READS, 'GET courses/{course}/record.xlsx' => self::READS,
            'GET courses/{course}/people/{user}/record.pdf' => self::READS, 'GET progress.pdf' => self::SIGNED_IN, 'GET courses/{course}/marks.csv' => self::READS,
            'GET courses/{course}/wall' => self::READS, 'GET live/wall/{course}' => self::READS,
            'GET courses/{course}/wall/curves' => self::IN_CLASS, 'POST courses/{course}/stopped' => self::IN_CLASS,
            'GET courses/{course}/plan' => self::READS, 'POST courses/{course}/plan' => self::IN_CLASS,
            'POST courses/{course}/free/{appliance}' => [
                'worker',
                'classmate',
            ], 'POST jobs/{assignment}/copy' => self::IN_CLASS,
            'POST models/{appliance}/free' => ['leader', 'lent', 'reader'],
            'POST courses/{course}/staff' => ['leader'], 'DELETE courses/{course}/staff/{user}' => ['leader'],
            // models, kinds, rules
            'GET models' => self::TEACH, 'GET drafts' => self::TEACH, 'POST drafts' => self::TEACH,
            'GET kinds' => self::TEACH, 'POST kinds' => self::TEACH,
            'GET rules' => self::TEACH, 'POST rules' => self::TEACH, 'POST rules/preview' => self::TEACH,
            'GET rules/preview/{task}' => ['leader'], 'POST shares' => self::TEACH, 'POST jobs' => self::TEACH,
            'DELETE drafts/{draft}' => ['leader'],
            // a job
            'GET jobs/{assignment}' => self::READS, 'GET jobs/{assignment}/marks' => self::READS,
            'GET jobs/{assignment}/marks.csv' => self::READS,
            'POST jobs/{assignment}/attempt' => ['leader', 'colleague', 'worker'],
        ];
        foreach (['', '/preview', '/analysis'] as $of) {
            $rows["GET models/{appliance}$of"] = ['leader', 'lent', 'reader'];
        }
        foreach ([
            'GET ',
            'POST ',
            'POST /file',
            'GET /book.csv',
            'GET /compared',
            'POST /fit',
            'POST /keep',
        ] as $route) {
            [$method, $of] = explode(' ', $route);
            $rows["$method models/{appliance}/lab$of"] = ['leader', 'lent', 'reader'];
        }
        $rows['DELETE models/{appliance}/lab/{reading}'] = ['leader'];
        $rows['POST models/{appliance}/templates'] = ['leader', 'lent', 'reader'];
        $rows['DELETE models/{appliance}/templates/{template}'] = ['leader'];
        $rows['POST models/{appliance}/analysis'] = ['leader', 'lent', 'reader'];
        foreach ([
            '',
            '/kinds',
            '/history',
            '/difference',
            '/checks',
            '/ladder',
            '/run',
            '/moment',
            '/why',
            '/faults',
            '/readings',
            '/safeties',
            '/files/{what}',
        ] as $of) {
            $rows["GET drafts/{draft}$of"] = self::DRAFT_READ;
        }
        $rows['POST drafts/{draft}/presence'] = self::DRAFT_READ;
        foreach (['edits', 'go', 'restore', 'label', 'publish'] as $of) {
            $rows["POST drafts/{draft}/$of"] = self::DRAFT_EDIT;
        }
        foreach ([
            'POST courses/{course}',
            'POST courses/{course}/code',
            'DELETE courses/{course}/code',
            'POST courses/{course}/roster/preview',
            'POST courses/{course}/roster/read',
            'POST courses/{course}/roster',
            'POST courses/{course}/roster/undo',
            'POST courses/{course}/trainees/{user}/link',
            'DELETE courses/{course}/trainees/{user}',
            'POST jobs/{assignment}/window',
            'POST jobs/{assignment}/trainees/{user}/extra',
            'POST jobs/{assignment}/trainees/{user}/again',
            'POST jobs/{assignment}/marks',
        ] as $route) {
            $rows[$route] = self::IN_CLASS;
        }
        foreach ([
            'GET school',
            'POST school/people',
            'POST school/people/{user}/link',
            'POST school/people/{user}/role',
            'POST school/people/{user}/closed',
            'DELETE school/people/{user}/second-factor',
            'GET school/people/{user}/data.json',
            'POST school/people/{user}/forget',
            'POST school/courses/{course}/lead',
            'POST school/settled',
            'GET school/audit.csv',
        ] as $route) {
            $rows[$route] = ['administrator'];
        }

        return $rows;
    }

    /**
     * By method and address, who may while an attempt is open, and who once it is closed.
     *
     * @return array<string, array{open: list<string>, finished: list<string>}>
     */
    private static function mayOfAttempt(): array
    {
        $rows = [];
        foreach ([
            'GET attempts/{attempt}',
            'POST attempts/{attempt}/acts',
            'POST attempts/{attempt}/play',
            'GET attempts/{attempt}/waiting',
            'POST attempts/{attempt}/next',
            'GET attempts/{attempt}/sheet',
            'POST attempts/{attempt}/predictions',
            'POST attempts/{attempt}/answers',
            'POST attempts/{attempt}/predictions/hint',
            'POST attempts/{attempt}/sheet',
        ] as $route) {
            $rows[$route] = ['open' => ['worker'], 'finished' => ['worker']];
        }
        foreach (['GET live/bench/{attempt}', 'POST attempts/{attempt}/away'] as $route) {
            $rows[$route] = ['open' => ['worker'], 'finished' => ['worker']];
        }
        foreach ([
            'GET attempts/{attempt}/look',
            'POST attempts/{attempt}/hint',
            'POST attempts/{attempt}/end',
        ] as $route) {
            $rows[$route] = ['open' => self::IN_CLASS, 'finished' => []];
        }
        foreach ([
            'GET attempts/{attempt}/said',
            'POST attempts/{attempt}/said',
            'POST attempts/{attempt}/hand',
        ] as $route) {
            $rows[$route] = ['open' => ['worker', ...self::IN_CLASS], 'finished' => ['worker']];
        }
        foreach (['debrief', 'debrief.pdf', 'drift', 'marking', 'xapi', 'pairs', 'paper.json'] as $of) {
            $rows["GET attempts/{attempt}/$of"] = ['open' => [], 'finished' => ['worker', ...self::READS]];
        }
        $rows['POST attempts/{attempt}/pairs'] = ['open' => [], 'finished' => ['worker', ...self::READS]];
        $rows['POST attempts/{attempt}/contest'] = ['open' => [], 'finished' => ['worker']];
        $rows['POST attempts/{attempt}/contest/finish'] = ['open' => [], 'finished' => self::READS];
        $rows['POST attempts/{attempt}/overrides'] = ['open' => [], 'finished' => self::READS];

        return $rows;
    }
}
