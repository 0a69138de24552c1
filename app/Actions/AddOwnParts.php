<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Validation\ValidationException;
use PocketPlot\Clipping\Filling;
use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Clipping\SureFinds;
use PocketPlot\Part\Role;

/**
 * Puts parts of one's own on the list: a name is enough. Of a pasted text only the confirmed finds go into the part; the text
 * itself stays with it.
 *
 * @phpstan-type Given array{name: string, role?: ?string, text?: ?string, take?: ?list<int>}
 */
final class AddOwnParts
{
    /**
     * @param  list<Given>  $parts
     *
     * @throws ValidationException when no word of a name tells what the part is for
     */
    public static function to(BuildRecord $build, User $user, array $parts): void
    {
        $currency = is_string($build->brief['currency'] ?? null) ? $build->brief['currency'] : 'EUR';
        foreach ($parts as $index => $given) {
            $name = trim($given['name']);
            $role = Role::tryFrom($given['role'] ?? '') ?? RoleGuess::of(trim("{$name}\n".($given['text'] ?? '')))
                ?? throw ValidationException::withMessages(["parts.{$index}.role" => "Choose what \"{$name}\" is for; its name does not tell."]);
            AddLine::to($build, KeepPart::asNew($user, self::spec($name, $role, $given, $currency)), $role->value, null);
        }
    }

    /**
     * @param  Given  $given
     * @param  string  $currency  of prices that say none
     * @return array<string, mixed>
     */
    private static function spec(string $name, Role $role, array $given, string $currency): array
    {
        $part = ['name' => $name, 'role' => $role->value, 'facets' => []];
        $text = $given['text'] ?? '';
        $today = (string) Today::day();
        if ($text === '') {
            // What a name says of itself, the builder wrote: "LiPo cell 3.7 V 5000 mAh".
            return SureFinds::into($part, $name, $role, $today);
        }

        return [
            ...(new Filling(Reader::read($text, $role), $role, $today, $text, $currency))->put($part, $given['take'] ?? []),
            'clippings' => [['text' => $text, 'on' => $today]],
        ];
    }
}
