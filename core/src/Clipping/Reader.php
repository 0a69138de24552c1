<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Clipping\Weighing\Weigher;
use PocketPlot\Part\Role;

/**
 * Reads a pasted text: a listing, a table of a datasheet, a post, somebody's notes. What the numbers mean, the role of the part
 * decides. Nothing is guessed: what no word in the text explains is left out.
 */
final readonly class Reader
{
    /** Signs that are read; what comes after belongs to no part. */
    public const MOST_SIGNS = 40_000;

    /** Signs behind a draw within which a sentence may go on about it. */
    private const GOES_ON_WITHIN = 160;

    /**
     * @param  ?Weigher  $weigher  null: the one that was learned from all texts
     * @return list<Find>
     */
    public static function read(string $text, Role $role, ?Weigher $weigher = null): array
    {
        $plain = self::plain($text);
        $finds = (new SecondReading($plain, $role))->of(self::byRules($plain, $role), $weigher ?? Weigher::learned());

        return array_map(
            static fn (Find $find): Find => new Find($find->what, $find->says, $plain->place($find->start), $plain->place($find->end), $find->isUnsure),
            (new Gathering($role->value, preg_match('/\bbench\b|measured|my notes|\bmine\b|caliper|calliper/', $plain->lower) === 1,
                self::isOfMains($plain, $role)))->of($finds),
        );
    }

    /** What is read of a text: its beginning, and of several variants the one that is meant. */
    public static function plain(string $text): Plain
    {
        $plain = Plain::of(mb_substr($text, 0, self::MOST_SIGNS, 'UTF-8'));

        return $plain->with(Variants::chosen($plain->text));
    }

    /** @return list<Find> what rules about words near a number read, where it stands, before all of it is laid together */
    public static function byRules(Plain $plain, Role $role): array
    {
        $amounts = new Amounts(Amounts::hasCommas($plain->text));
        $clauses = Clauses::of($plain);
        $isMains = self::isOfMains($plain, $role);
        $isGuard = $role === Role::Regulator && preg_match('/protection (?:board|circuit|module|plate)|protect plate|\bbms\b|\bpcm\b|battery guard/',
            $plain->lower) === 1 && preg_match('/buck|boost|step.?(?:up|down)|\bldo\b/', $plain->lower) !== 1;
        [$finds, $money] = (new Prices)->of($clauses);
        $boxes = new Boxes($role->value, $amounts);
        $numbers = new Numbers($role->value, $amounts, $isMains, preg_match('/power ?(?:bank|pack)|\bbank\b|portable charger|'
            .'\bout(?:put)?\W{1,3}5(?:[.,]\d)? ?v/', $plain->lower) === 1,
            $isGuard);
        $sockets = new Sockets($role->value, $isMains, $role === Role::Display ? Sockets::interfaceOf($plain->lower) : '');
        $phrases = new Phrases($isGuard ? 'guard' : $role->value);
        $draw = null;
        $isAmps = false;
        foreach ($clauses as $index => $clause) {
            if ($clause->says('/\bfits (?:handhelds|consoles)|\bwarranty|guarantee|sold out/')) {
                // Words of the shop; sizes may still stand beside them.
                $clause = new Clause((string) preg_replace_callback('/\d+ ?(?:months?|years?|days?)/', static fn (array $m): string => str_repeat(' ',
                    strlen($m[0])), $clause->text), $clause->start, $clause->label, $clause->heading, $clause->row);
            }
            [$sizes, $taken] = $boxes->of($clause);
            $named = $sockets->of($clause);
            $taken = [...$taken, ...($money[$index] ?? []), ...array_map(
                static fn (Find $find): array => [$find->start - $clause->start, $find->end - $clause->start],
                array_values(array_filter($named, static fn (Find $find): bool => preg_match('/^(barrel|jack|jst)/',
                    (string) ($find->says['connector'] ?? '')) === 1)),
            )];
            $said = $numbers->of($clause, $taken);
            if ($draw !== null && $clause->start - $draw->end < self::GOES_ON_WITHIN) {
                array_push($said, ...$numbers->goesOn($clause, $draw, $isAmps));
            }
            foreach ($said as $find) {
                if ($find->what === 'draw') {
                    $draw = $find;
                    $written = substr($plain->text, $find->start, $find->end - $find->start);
                    $isAmps = preg_match('/\d\s?a(?:mps?)?$/i', $written) === 1 || (preg_match('/[a-z]$/i', $written) !== 1 && $isAmps);
                }
            }
            $of = [...$sizes, ...$named, ...$phrases->of($clause), ...$said];
            array_push($finds, ...($clause->row === null ? $of : array_map(
                static fn (Find $find): Find => new Find($find->what, $find->says, $clause->row[0], $clause->row[1], $find->isUnsure), $of,
            )));
        }

        return $finds;
    }

    /** Whether it is fed from the wall, or is itself what stands between. */
    private static function isOfMains(Plain $plain, Role $role): bool
    {
        return preg_match('/\b(?:100|110|115|220|230)\s?(?:-|to|~|…)?\s?(?:240|250)?\s?v(?:ac)?\b|\bmains\b|\bwall (?:plug|supply|charger|adapter)/',
            $plain->lower) === 1
            || ($role === Role::Charger && preg_match('/solar panel|solar cell|^[^.;\n]{0,40}\b(?:brick|laptop supply|desktop supply|wall ?wart)\b|\b(?:uk|us|eu|euro)[- ](?:plug|3[- ]pin)|\bgan (?:plug|charger)/',
                $plain->lower) === 1);
    }
}
