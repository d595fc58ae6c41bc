<?php

namespace App\Mail;

use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Tells somebody that the way into his account was changed, so that he sees it when it was not he. */
class ChangeMail extends Mailable
{
    use Queueable;

    /** @param string $what what was changed, a sentence */
    public function __construct(public readonly string $who, public readonly string $what)
    {
        $this->onQueue('asked');
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Your account at Odd Spark was changed');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.change', with: ['at' => now()->format('j M Y H:i').' UTC']);
    }
}
