<?php

namespace App\Mail;

use App\Models\AccessLink;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The link by which somebody sets a password. */
class AccessMail extends Mailable
{
    use Queueable;

    public function __construct(
        public readonly string $who,
        public readonly string $signsInAs,
        public readonly string $link,
    ) {
        $this->onQueue('asked');
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Your way into Odd Spark');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.access', with: ['days' => AccessLink::DAYS]);
    }
}
