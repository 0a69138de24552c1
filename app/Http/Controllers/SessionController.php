<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\OpenAccount;
use App\Actions\Passwords;
use App\Actions\ThrowAccountAway;
use App\Http\Middleware\OnlyHere;
use App\Http\Requests\ChangePasswordRequest;
use App\Http\Requests\EmailRequest;
use App\Http\Requests\NewPasswordRequest;
use App\Http\Requests\RegisterRequest;
use App\Http\Requests\SignInRequest;
use App\Journal\Journal;
use App\Letters\Occasion;
use App\Letters\PostLetter;
use App\Models\Letter;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Who is here. No answer tells whether an address has an account: not by words, nor by status, nor by how long it took. */
final class SessionController
{
    public function show(Request $request): JsonResponse
    {
        return $this->who($request);
    }

    public function register(RegisterRequest $request): JsonResponse
    {
        OpenAccount::askedFor($request->string('name')->toString(), $request->email(), $request->string('password')->toString());
        Journal::note('an account was asked for', ['address' => Journal::masked($request->email())]);

        return self::told('A letter is on its way to this address. Open the link in it, and you are in.');
    }

    public function open(Request $request): JsonResponse
    {
        $given = $request->validate(['token' => ['required', 'string', 'max:200']], ['token.*' => 'Open the whole link of the letter.']);
        $user = OpenAccount::withKey(is_string($given['token']) ? $given['token'] : '');
        Journal::note('an account was opened', ['account' => $user->id]);

        return $this->enter($request, $user, false);
    }

    public function signIn(SignInRequest $request): JsonResponse
    {
        $user = Passwords::accountFor($request->email(), $request->string('password')->toString());
        if ($user === null) {
            Journal::note('a sign-in was refused', ['address' => Journal::masked($request->email())]);
            throw ValidationException::withMessages(['email' => 'Address and password do not belong together. Look at both, or ask for a new password.']);
        }
        Journal::note('signed in', ['account' => $user->id]);

        return $this->enter($request, $user, $request->boolean('remember'));
    }

    public function demo(Request $request): JsonResponse
    {
        $user = User::query()->where('email', config('pocketplot.demo_email'))->firstOrFail();
        Journal::note('came in by the demo door', ['account' => $user->id]);

        return $this->enter($request, $user, true);
    }

    public function signOut(Request $request): JsonResponse
    {
        Journal::note('signed out');
        Auth::logoutCurrentDevice();
        $this->leave($request);

        return $this->who($request);
    }

    /** Here and on every other device. */
    public function signOutEverywhere(Request $request, User $user): JsonResponse
    {
        Journal::note('signed out everywhere');
        Passwords::endSessions($user);
        Auth::logoutCurrentDevice();
        $this->leave($request);

        return $this->who($request);
    }

    /** A new password for who is signed in; all other devices are signed out. */
    public function changePassword(ChangePasswordRequest $request, User $user): JsonResponse
    {
        if (Passwords::accountFor($user->email, $request->string('current')->toString()) === null) {
            Journal::note('a change of password was refused');
            throw ValidationException::withMessages(['current' => 'This is not the password that holds now.']);
        }
        $isRemembered = $request->cookies->has(Auth::getRecallerName());
        Passwords::change($user, $request->string('password')->toString());
        Journal::note('the password was changed');

        return $this->enter($request, $user, $isRemembered);
    }

    /** The currency of builds that are begun from now on. */
    public function home(Request $request, User $user): JsonResponse
    {
        $given = $request->validate(['currency' => ['required', 'string', 'regex:/^[A-Z]{3}\z/']], ['currency.*' => 'Write the currency as three letters, such as EUR.']);
        DB::transaction(static fn () => $user->forceFill(['home_currency' => $given['currency']])->save());

        return $this->who($request);
    }

    /** Throws the account away with its builds and parts, once and for all; its password is asked for. */
    public function throwAway(Request $request, User $user): JsonResponse
    {
        $given = $request->validate(['password' => ['required', 'string', 'max:200']], ['password.*' => 'Write your password.']);
        if (Passwords::accountFor($user->email, is_string($given['password']) ? $given['password'] : '') === null) {
            Journal::note('throwing an account away was refused');
            throw ValidationException::withMessages(['password' => 'This is not the password that holds now.']);
        }
        DB::transaction(static fn () => ThrowAccountAway::of($user));
        Journal::note('an account was thrown away', ['account' => $user->id]);
        Auth::logoutCurrentDevice();
        $this->leave($request);

        return $this->who($request);
    }

    public function forgot(EmailRequest $request): JsonResponse
    {
        $email = $request->email();
        Journal::note('a new password was asked for', ['address' => Journal::masked($email)]);
        PostLetter::to($email, Occasion::PasswordForgotten);

        return self::told('If there is an account with this address, a letter is on its way.');
    }

    public function newPassword(NewPasswordRequest $request): JsonResponse
    {
        $user = Passwords::reset(
            ['token' => $request->string('token')->toString(), 'email' => $request->email(), 'password' => $request->string('password')->toString()],
        );
        if ($user === null) {
            throw ValidationException::withMessages(['token' => 'This link has run out or was used. Ask for a new letter.']);
        }
        Journal::note('a new password was set with a letter', ['account' => $user->id]);

        return self::told('The new password holds, and every other device is signed out. Sign in with it.');
    }

    public function mailbox(): JsonResponse
    {
        return new JsonResponse(['letters' => Letter::query()->latest('id')->limit(50)->get()->map(static fn (Letter $letter): array => [
            'id' => $letter->id,
            'recipient' => $letter->recipient,
            'subject' => $letter->subject,
            'body' => $letter->body,
            'at' => $letter->created_at->toIso8601String(),
        ])->all()]);
    }

    private function enter(Request $request, User $user, bool $remember): JsonResponse
    {
        Auth::login($user, $remember);
        $request->session()->regenerate();

        return $this->who($request);
    }

    private function leave(Request $request): void
    {
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }

    private function who(Request $request): JsonResponse
    {
        $user = Auth::user();

        return new JsonResponse([
            'user' => $user instanceof User
                ? [
                    'name' => $user->name, 'email' => $user->email, 'homeCurrency' => $user->home_currency,
                    'isDemo' => $user->email === config('pocketplot.demo_email'),
                ]
                : null,
            'demoDoor' => OnlyHere::applies($request),
            'demoMode' => config('pocketplot.demo') === true,
        ]);
    }

    /** With its length, so that nobody waits for what is done after it. */
    private static function told(string $message): JsonResponse
    {
        $response = new JsonResponse(['message' => $message]);
        $response->headers->set('Content-Length', (string) strlen((string) $response->getContent()));

        return $response;
    }
}
