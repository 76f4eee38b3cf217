<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Invite;
use App\Models\User;
use App\Text\Languages;
use App\Text\Sentences;
use Illuminate\Mail\Message;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Thicket\Measure\System;

/** Letters by e-mail: plain text, in the language of who gets them. Sent by what deploy sets; else written to a log. */
final readonly class Letters
{
    public function __construct(private Sentences $sentences) {}

    /** @return bool false where it could not be sent */
    public function invite(Invite $invite, #[\SensitiveParameter] string $link): bool
    {
        return $this->send(
            (string) $invite->email,
            $invite->crew->settings['locale'] ?? Languages::FIRST,
            'mail.invite',
            ['crew' => $invite->crew->name, 'who' => $invite->maker->name, 'link' => $link, 'days' => Invite::DAYS],
        );
    }

    /** @return bool false where it could not be sent */
    public function reset(User $user, #[\SensitiveParameter] string $link): bool
    {
        return $this->send((string) $user->email, $user->locale, 'mail.reset', ['who' => $user->name, 'link' => $link]);
    }

    /**
     * Tells that what guards an account is another one now: whoever did not do it can still act.
     *
     * @param 'password'|'address'|'on'|'off'|'codes' $what
     * @param string|null $before the address that held till now, where that is what changed
     *
     * @return bool false where it could not be sent
     */
    public function changed(User $user, string $what, ?string $before = null): bool
    {
        return $this->send($before ?? (string) $user->email, $user->locale, 'mail.changed', [
            'who' => $user->name,
            'what' => $what,
            'link' => config()->string('app.url') . '/forgotten',
        ]);
    }

    /** @param array<string, string|int> $values */
    private function send(string $to, string $locale, string $code, array $values): bool
    {
        [$subject, $text] = $this->sentences->inLocale(
            $locale,
            fn(): array => array_map(
                fn(string $part): string => $this->sentences->in("{$code}.{$part}", $values, System::Us),
                ['subject', 'text'],
            ),
        );
        try {
            Mail::raw($text, static fn(Message $message) => $message->to($to)->subject($subject));
        } catch (TransportExceptionInterface $e) {
            Log::error("A letter could not be sent: {$e->getMessage()}");

            return false;
        }

        return true;
    }
}
