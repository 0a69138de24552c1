<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\OnlyHere;
use App\Http\Requests\NewPasswordRequest;
use App\Http\Requests\RegisterRequest;
use App\Http\Requests\SignInRequest;
use App\Models\Letter;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\ValidationException;

/** Who is here. */
final class SessionController
{
    public function show(Request $request): JsonResponse
    {
        return $this->who($request);
    }

    public function register(RegisterRequest $request): JsonResponse
    {
        $user = DB::transaction(static fn (): User => User::query()->create($request->only(['name', 'email', 'password'])));

        return $this->enter($request, $user);
    }

    public function signIn(SignInRequest $request): JsonResponse
    {
        if (! Auth::attempt($request->only(['email', 'password']), true)) {
            throw ValidationException::withMessages(['email' => 'Address and password do not belong together. Look at both, or ask for a new password.']);
        }
        $request->session()->regenerate();

        return $this->who($request);
    }

    public function demo(Request $request): JsonResponse
    {
        return $this->enter($request, User::query()->where('email', config('pocketplot.demo_email'))->firstOrFail());
    }

    public function signOut(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->who($request);
    }

    public function forgot(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => ['required', 'string', 'max:190']], ['email.*' => 'Write the address of your account.']);
        DB::transaction(static fn (): string => Password::sendResetLink($given));

        // The same words whether the account exists or not.
        return new JsonResponse(['message' => 'If there is an account with this address, a letter is on its way.']);
    }

    public function newPassword(NewPasswordRequest $request): JsonResponse
    {
        $status = Password::reset($request->only(['token', 'email', 'password']), static function (User $user, string $password): void {
            DB::transaction(static fn () => $user->forceFill(['password' => $password, 'remember_token' => null])->save());
        });
        if ($status !== Password::PasswordReset) {
            throw ValidationException::withMessages(['token' => 'This link has run out or was used. Ask for a new letter.']);
        }

        return new JsonResponse(['message' => 'The new password holds. Sign in with it.']);
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

    private function enter(Request $request, User $user): JsonResponse
    {
        Auth::login($user, true);
        $request->session()->regenerate();

        return $this->who($request);
    }

    private function who(Request $request): JsonResponse
    {
        $user = $request->user() ?? Auth::user();

        return new JsonResponse([
            'user' => $user instanceof User ? ['name' => $user->name, 'email' => $user->email] : null,
            'demoDoor' => OnlyHere::applies($request),
        ]);
    }
}
