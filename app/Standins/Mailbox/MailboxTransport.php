<?php

declare(strict_types=1);

namespace App\Standins\Mailbox;

use App\Models\Letter;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Email;

/** A stand-in for a mail server: letters are kept in the database and shown on the mailbox page. */
final class MailboxTransport extends AbstractTransport
{
    protected function doSend(SentMessage $message): void
    {
        $email = $message->getOriginalMessage();
        if (! $email instanceof Email) {
            return;
        }
        foreach ($email->getTo() as $address) {
            Letter::query()->create([
                'recipient' => $address->getAddress(),
                'subject' => (string) $email->getSubject(),
                'body' => (string) $email->getTextBody(),
            ]);
        }
    }

    public function __toString(): string
    {
        return 'mailbox://stand-in';
    }
}
