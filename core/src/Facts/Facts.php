<?php

declare(strict_types=1);

namespace PocketPlot\Facts;

use PocketPlot\Build\Brief;
use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Build\Line;
use PocketPlot\Build\Margins;
use PocketPlot\Fit\BodySize;
use PocketPlot\Fit\Fitted;
use PocketPlot\Heat\Warmth;
use PocketPlot\Part\Output;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Power\ChargePath;
use PocketPlot\Power\CutOff;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;
use PocketPlot\Power\Missing;
use PocketPlot\Power\Rail;
use PocketPlot\Power\RunTime;
use PocketPlot\Power\SupplyTree;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Rates;
use PocketPlot\Sourcing\Costs;
use PocketPlot\Wiring\PowerLeads;

/**
 * A build with what the rooms worked out about it, each worked out once and only when asked. Notes, when told to,
 * which facts were asked for: a judgement has to be made again only when one of its facts is another.
 *
 * Every fact has a topic: its name, and what it is about ("with pack", "railOf panel").
 */
final class Facts
{
    /** Facets and roles from which the supply tree is made. */
    public const TREE_RESTS_ON = [
        'supply' => true,
        'supplies' => true,
        'outputs' => true,
        'pack' => true,
        'sockets' => true,
        'poweredBy' => true,
        'role:board' => true,
        'role:regulator' => true,
    ];

    /** Those that change the run without changing who feeds whom. */
    public const RUN_RESTS_ON = ['protector' => true, 'cable' => true, 'panel' => true, 'amp' => true, 'cooling' => true, 'radio' => true, 'software' => true];

    /** By fact, the facets and roles that have to be touched before it can be another. */
    private const RESTS_ON = [
        'protectorOf' => ['pack' => true, 'protector' => true],
        'chargerOf' => ['pack' => true, 'charger' => true],
        'cutOffOf' => ['pack' => true, 'protector' => true],
        'chargeSourceOf' => ['charger' => true, 'outputs' => true, 'poweredBy' => true], 'bodyLine' => ['body' => true], 'board' => ['role:board' => true],
        'misfed' => self::TREE_RESTS_ON,
        'sources' => self::TREE_RESTS_ON,
        'rails' => self::TREE_RESTS_ON,
        'rail' => self::TREE_RESTS_ON,
        'giver' => self::TREE_RESTS_ON,
        'giverOf' => self::TREE_RESTS_ON,
        'railOf' => self::TREE_RESTS_ON,
        'railsOf' => self::TREE_RESTS_ON,
        'feeds' => self::TREE_RESTS_ON, 'feed' => self::TREE_RESTS_ON, 'wattsFrom' => self::TREE_RESTS_ON, 'demandOf' => self::TREE_RESTS_ON,
        'socketsOf' => self::TREE_RESTS_ON + ['cable' => true], 'leadOf' => self::TREE_RESTS_ON + ['cable' => true],
    ];

    private ?SupplyTree $supplyTree = null;

    private ?PowerLeads $powerLeads = null;

    private ?RunTime $runTime = null;

    /** @var array<string, float>|null */
    private ?array $leadOhms = null;

    private ?Costs $costs = null;

    private ?BodySize $bodySize = null;

    private ?Fitted $fitted = null;

    private ?Warmth $warmth = null;

    private bool $warmthKnown = false;

    /** @var list<Line>|null */
    private ?array $inBody = null;

    /** @var list<Line> */
    private readonly array $lines;

    /** @var array<string, list<Line>> lines by what they touch: facets and roles */
    private array $index = [];

    /** @var array<string, true>|null topics asked for since somebody began to listen */
    private ?array $asked = null;

    /** @var array<string, bool> by topic, whether it is what it was before */
    private array $unchanged = [];

    private ?self $before = null;

    /** @var array<string, true> facets and roles of the lines that went, came or changed since before */
    private array $touched = [];

    /** @var array<string, bool> by fact, whether nothing was touched that it rests on */
    private array $untouched = [];

    /** @var array<string, true> ids of the chosen lines that went, came or changed since before */
    private array $touchedLines = [];

    /** Whether nothing but the lines is another than before. */
    private bool $onlyLines = false;

    /** @var array<string, Line>|null the chosen lines by their ids */
    private ?array $byId = null;

    public function __construct(public readonly Build $build)
    {
        $this->lines = $build->chosen();
        foreach ($this->lines as $line) {
            foreach ($line->part->touches as $what) {
                $this->index[$what][] = $line;
            }
        }
    }

    /** Of the same build with some lines swapped, added or gone: what these cannot touch is taken over. */
    public static function after(self $before, Build $build): self
    {
        $facts = new self($build);
        $facts->before = $before;
        $facts->costs = Costs::of($build, $before->costs());
        $facts->touch($before->lines);
        $touched = $facts->touched;
        $facts->onlyLines = $build->joins === $before->build->joins
            && $build->brief === $before->build->brief
            && $build->profiles === $before->build->profiles
            && $build->rates === $before->build->rates;
        if ($facts->onlyLines && array_intersect_key($touched, self::TREE_RESTS_ON) === []) {
            $facts->supplyTree = $before->supplyTree();
            if (array_intersect_key($touched, self::RUN_RESTS_ON) === []) {
                $facts->leadOhms = $before->leadOhms();
                $facts->runTime = $before->runTime();
            }
        }

        return $facts;
    }

    /**
     * Runs a judgement and notes what it asks for.
     *
     * @template T
     *
     * @param  callable(): T  $judge
     * @return array{T, list<string>} its answer, and the topics
     */
    public function listen(callable $judge): array
    {
        $this->asked = [];
        $answer = $judge();
        $asked = array_keys($this->asked);
        $this->asked = null;

        return [$answer, $asked];
    }

    /** Whether a topic's answer is the one it had before the lines were swapped. */
    public function isUnchanged(string $topic): bool
    {
        return $this->unchanged[$topic] ??= $this->compare($topic);
    }

    /** @return list<Line> the chosen lines */
    public function lines(): array
    {
        $this->note('lines');

        return $this->lines;
    }

    public function count(): int
    {
        $this->note('count');

        return count($this->lines);
    }

    /** @return list<Line> chosen lines whose part has this facet */
    public function with(string $facet): array
    {
        $this->note('with', $facet);

        return $this->index[$facet] ?? [];
    }

    /** @return list<Line> */
    public function filling(Role $role): array
    {
        return $this->with("role:{$role->value}");
    }

    /** The first board: the one that computes. */
    public function board(): ?Line
    {
        $this->note('board');
        $boards = $this->index['role:'.Role::Board->value] ?? [];
        foreach ($boards as $line) {
            if ($line->part->software !== null) {
                return $line;
            }
        }

        return $boards[0] ?? null;
    }

    /** @return list<Line> lines whose part has to find room in the body */
    public function inBody(): array
    {
        $this->note('inBody');

        return $this->inBody ??= array_values(array_filter($this->lines, static fn (Line $line): bool => $line->part->sits->takesRoom()
            && $line->role !== Role::Case_ && $line->part->body === null
            // Screws and the like go where nothing else goes; those with a size of their own are counted.
            && ! ($line->role === Role::Fastener && ! $line->part->size->hasAllSides())));
    }

    public function bodyLine(): ?Line
    {
        $this->note('bodyLine');

        return $this->index['body'][0] ?? null;
    }

    /** A line of the list by its id, chosen or not. */
    public function line(string $id): ?Line
    {
        $this->note('line', $id);

        return $this->byId()[$id] ?? $this->build->line($id);
    }

    /** @return array<string, Line> the chosen lines by their ids */
    private function byId(): array
    {
        return $this->byId ??= array_column($this->lines, null, 'id');
    }

    public function brief(): Brief
    {
        $this->note('brief');

        return $this->build->brief;
    }

    public function rates(): Rates
    {
        $this->note('rates');

        return $this->build->rates;
    }

    /** @return list<Join> */
    public function joins(): array
    {
        $this->note('joins');

        return $this->build->joins;
    }

    public function margin(string $key): float
    {
        return Margins::of($key, $this->brief()->margins);
    }

    public function bodySize(): BodySize
    {
        $this->note('bodySize');

        return $this->bodySize ??= $this->quietly(
            fn (): BodySize => BodySize::of(
                $this->bodyLine(), $this->inBody(), $this->margin('packing-easy'), $this->build->brief->largestMm, $this->fitted()?->outsideMm(),
            ),
        );
    }

    /** Where the parts lie, judged; null while none has a place. */
    public function fitted(): ?Fitted
    {
        $this->note('fitted');
        if ($this->build->fit->poses === []) {
            return null;
        }

        return $this->fitted ??= $this->quietly(fn (): Fitted => Fitted::of($this->build, $this->bodyLine(), $this->inBody()));
    }

    /** The whole tree, for the rooms; a rule asks for the rails and feeds that it judges. */
    public function supplyTree(): SupplyTree
    {
        return $this->supplyTree ??= new SupplyTree($this->build);
    }

    /** @return array<string, Rail> by rail id */
    public function rails(): array
    {
        $this->note('rails');

        return $this->supplyTree()->rails;
    }

    public function rail(string $id): ?Rail
    {
        $this->note('rail', $id);

        return $this->supplyTree()->rails[$id] ?? null;
    }

    /** @return array<string, Feed> by Feed::key() */
    public function feeds(): array
    {
        $this->note('feeds');

        return $this->supplyTree()->feeds;
    }

    /** @return array{list<Line>, list<Line>, list<Join>} lines without any rail, lines fed from themselves, joins that cannot be */
    public function misfed(): array
    {
        $this->note('misfed');
        $tree = $this->supplyTree();

        return [$tree->unfed, $tree->inCircles, $tree->impossible];
    }

    /** @return list<Line> packs, banks and wall supplies that feed something */
    public function sources(): array
    {
        $this->note('sources');

        return $this->supplyTree()->sources();
    }

    /** @return list<Feed> */
    public function feedsFrom(Rail $rail): array
    {
        $this->note('feedsFrom', $rail->id);

        return $this->supplyTree()->feedsFrom($rail);
    }

    /** What gives this line's main input its volts; for whoever does not ask what else hangs on it. */
    public function giverOf(Line $line): ?Giver
    {
        $this->note('giverOf', $line->id);

        return $this->supplyTree()->railOf($line);
    }

    /** What feeds this line's main input, with all that hangs on it. */
    public function railOf(Line $line): ?Rail
    {
        $this->note('railOf', $line->id);

        return $this->supplyTree()->railOf($line);
    }

    /** @return list<Rail> rails that this line gives */
    public function railsOf(Line $line): array
    {
        $this->note('railsOf', $line->id);

        return $this->supplyTree()->railsOf($line);
    }

    /** @return array{Figure, Figure, list<Missing>} watts taken out of a source, idle to heavy and all peaks at once, and what is missing to know them */
    public function wattsFrom(Line $source): array
    {
        $this->note('wattsFrom', $source->id);

        return $this->supplyTree()->wattsFrom($source);
    }

    /** @return array{Figure, Figure, list<Missing>} watts that a feed takes, usual and peak, and what is missing to know them */
    public function demandOf(Feed $feed): array
    {
        $this->note('demandOf', $feed->key());

        return $this->supplyTree()->demandOf($feed);
    }

    /** @return array{?Socket, ?Socket} the sockets by which a feed goes over: the giver's, the taker's */
    public function socketsOf(Feed $feed): array
    {
        $this->note('socketsOf', $feed->key());

        return $this->powerLeads()->sockets($feed);
    }

    /** The lead through which a feed goes. */
    public function leadOf(Feed $feed): ?Line
    {
        $this->note('leadOf', $feed->key());

        return $this->powerLeads()->lead($feed);
    }

    /** Whether a feed goes from socket to socket and no free lead does. */
    public function lacksLead(Feed $feed): bool
    {
        $this->note('lacksLead', $feed->key());

        return $this->powerLeads()->lacksLead($feed);
    }

    /** Whether what is drawn rests on figures that are only usual of their kind, or guessed. */
    public function isDrawInPencil(): bool
    {
        $this->note('isDrawInPencil');
        foreach ($this->supplyTree()->sources() as $source) {
            $pack = $source->part->pack;
            $isOpen = $pack !== null && (! $pack->internalResistanceMohm->isKnown() || $pack->usableShare->source->isPencil());
            if ($isOpen || $pack?->volts()->source->isPencil() === true) {
                return true;
            }
        }
        foreach ($this->supplyTree()->feeds as $feed) {
            $cable = $this->leadOf($feed)?->part->cable;
            $isAnyLead = $cable !== null && (! $cable->gaugeAwg->isKnown() || ! $cable->lengthMm->isKnown());
            if ($isAnyLead || $feed->input->watts()->source->isPencil()) {
                return true;
            }
        }
        foreach ($this->supplyTree()->rails as $rail) {
            if ($rail->loads !== [] && $rail->output()?->efficiency->source->isPencil() === true) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Line> what is to play and is not fed from the pack: nothing feeds it, its lead is not there, or only the wall does */
    public function unfedInPlay(): array
    {
        $this->note('unfedInPlay');
        $tree = $this->supplyTree();
        $unfed = $tree->unfed;
        foreach ($tree->feeds as $feed) {
            if ($this->powerLeads()->lacksLead($feed) || $tree->isFedByWallOnly($feed)) {
                $unfed[] = $feed->line;
            }
        }

        return $unfed;
    }

    /** Whether a feed is only there when plugged in, in a build that is to play from a pack. */
    public function isFedByWallOnly(Feed $feed): bool
    {
        $this->note('isFedByWallOnly', $feed->key());

        return $this->supplyTree()->isFedByWallOnly($feed);
    }

    /** @return array<string, float> ohm of the lead or wires before each input, by Feed::key(); those that nobody knows are left out */
    public function leadOhms(): array
    {
        return $this->leadOhms ??= $this->powerLeads()->ohms();
    }

    /** The protection board that is made for this line's pack. */
    public function protectorOf(Line $line): ?Line
    {
        $this->note('protectorOf', $line->id);

        return $line->part->pack === null ? null : $this->build->protectorOf($line->part->pack);
    }

    /** @return non-empty-list<Line> the packs that are in parallel with this one, itself first */
    public function inParallelWith(Line $line): array
    {
        $this->note('inParallelWith', $line->id);

        return $this->build->inParallelWith($line);
    }

    /** A board that lives from this line's pack and charges it, of which nobody wrote down whether it cuts off. */
    public function silentGuardOf(Line $line): ?Line
    {
        $this->note('silentGuardOf', $line->id);
        foreach ($this->supplyTree()->railsOf($line) as $rail) {
            foreach ($rail->isRawPack ? $rail->loads : [] as $load) {
                if ($load->part->charger !== null && $load->part->outputs !== [] && $load->part->protector === null) {
                    return $load;
                }
            }
        }

        return null;
    }

    /** The charger that is made for this line's pack. */
    public function chargerOf(Line $line): ?Line
    {
        $this->note('chargerOf', $line->id);

        return $line->part->pack === null ? null : $this->build->chargerOf($line->part->pack);
    }

    /** What cuts this line's pack off; null without a pack. */
    public function cutOffOf(Line $line): ?CutOff
    {
        $this->note('cutOffOf', $line->id);

        return $line->part->pack === null ? null : CutOff::of($this->build, $line, $line->part->pack);
    }

    /** @return array{?Line, ?Output} the wall supply or solar panel that feeds this charger */
    public function chargeSourceOf(Line $charger): array
    {
        $this->note('chargeSourceOf', $charger->id);

        return $charger->part->charger === null ? [null, null] : ChargePath::sourceFor($this->build, $charger, $charger->part->charger);
    }

    public function runTime(): RunTime
    {
        $this->note('runTime');

        return $this->runTime ??= RunTime::of($this->build, $this->supplyTree(), $this->leadOhms());
    }

    /** The air inside at the heaviest; null without a body or without anything that draws power. */
    public function warmth(): ?Warmth
    {
        $this->note('warmth');
        if (! $this->warmthKnown) {
            $this->warmth = $this->quietly(
                fn (): ?Warmth => Warmth::of($this->bodyLine(), $this->supplyTree(), $this->bodySize(), $this->with('cooling'), $this->build->brief->roomC),
            );
            $this->warmthKnown = true;
        }

        return $this->warmth;
    }

    public function costs(): Costs
    {
        $this->note('costs');

        return $this->costs ??= Costs::of($this->build);
    }

    private function powerLeads(): PowerLeads
    {
        return $this->powerLeads ??= new PowerLeads($this->build, $this->supplyTree());
    }

    private function note(string $fact, string $about = ''): void
    {
        if ($this->asked !== null) {
            $this->asked[$about === '' ? $fact : "{$fact} {$about}"] = true;
        }
    }

    /**
     * What is worked out on the way to a fact is no topic of its own.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    private function quietly(callable $work): mixed
    {
        [$asked, $this->asked] = [$this->asked, null];
        $answer = $work();
        $this->asked = $asked;

        return $answer;
    }

    private function compare(string $topic): bool
    {
        if ($this->before === null) {
            return false;
        }
        $space = strpos($topic, ' ');
        [$fact, $about] = $space === false ? [$topic, ''] : [substr($topic, 0, $space), substr($topic, $space + 1)];
        if ($this->onlyLines) {
            if ($fact === 'line' && isset($this->byId()[$about])) {
                return ! isset($this->touchedLines[$about]);
            }
            $isUntouched = match ($fact) {
                'brief', 'joins', 'rates' => true,
                'with' => ! isset($this->touched[$about]),
                default => isset(self::RESTS_ON[$fact]) && ($this->untouched[$fact] ??= array_intersect_key(self::RESTS_ON[$fact], $this->touched) === []),
            };
            if ($isUntouched) {
                return true;
            }
        }

        return Same::as($this->before->answer($fact, $about), $this->answer($fact, $about));
    }

    private function answer(string $fact, string $about): mixed
    {
        $line = $about === '' ? null : ($this->byId()[$about] ?? $this->build->line($about));
        $feed = $about === '' ? null : $this->supplyTree()->feeds[$about] ?? null;

        return match ($fact) {
            'lines' => $this->lines,
            'count' => count($this->lines),
            'with' => $this->index[$about] ?? [],
            'board' => $this->board(),
            'inBody' => $this->inBody(),
            'bodyLine' => $this->bodyLine(),
            'line' => $line,
            'brief' => $this->build->brief,
            'rates' => $this->build->rates,
            'joins' => $this->build->joins,
            'bodySize' => $this->bodySize(),
            'fitted' => $this->fitted()?->fingerprint(),
            'rails' => $this->supplyTree()->rails,
            'rail' => $this->supplyTree()->rails[$about] ?? null,
            'feeds' => $this->supplyTree()->feeds,
            'feedsFrom' => isset($this->supplyTree()->rails[$about]) ? $this->feedsFrom($this->supplyTree()->rails[$about]) : null,
            'misfed' => $this->misfed(),
            'sources' => $this->sources(),
            'runTime' => $this->runTime(),
            'warmth' => $this->warmth(),
            'costs' => $this->costs(),
            'giver' => self::gives($this->supplyTree()->rails[$about] ?? null),
            'giverOf' => $line === null ? null : self::gives($this->supplyTree()->railOf($line)),
            'railOf' => $line === null ? null : $this->railOf($line),
            'railsOf' => $line === null ? null : $this->railsOf($line),
            'wattsFrom' => $line === null ? null : $this->wattsFrom($line),
            'protectorOf' => $line === null ? null : $this->protectorOf($line),
            'silentGuardOf' => $line === null ? null : $this->silentGuardOf($line),
            'inParallelWith' => $line === null ? null : $this->inParallelWith($line),
            'chargerOf' => $line === null ? null : $this->chargerOf($line),
            'cutOffOf' => $line === null ? null : $this->cutOffOf($line),
            'chargeSourceOf' => $line === null ? null : $this->chargeSourceOf($line),
            'feed' => $feed,
            'demandOf' => $feed === null ? null : $this->demandOf($feed),
            'socketsOf' => $feed === null ? null : $this->socketsOf($feed),
            'leadOf' => $feed === null ? null : $this->leadOf($feed),
            'lacksLead' => $feed === null ? null : $this->lacksLead($feed),
            'isFedByWallOnly' => $feed === null ? null : $this->isFedByWallOnly($feed),
            'unfedInPlay' => $this->unfedInPlay(),
            'isDrawInPencil' => $this->isDrawInPencil(),
            default => throw new \LogicException("no fact is called {$fact}"),
        };
    }

    /** @return ?array{string, Line, string, bool, Figure} what of a giver can be another */
    private static function gives(?Giver $giver): ?array
    {
        return $giver === null ? null : [$giver->id, $giver->line, $giver->name, $giver->isRawPack, $giver->volts];
    }

    /** @param  list<Line>  $before  the chosen lines as they were */
    private function touch(array $before): void
    {
        $was = $is = [];
        foreach ($before as $line) {
            $was[spl_object_id($line)] = $line;
        }
        foreach ($this->lines as $line) {
            $is[spl_object_id($line)] = $line;
        }
        foreach ([...array_diff_key($was, $is), ...array_diff_key($is, $was)] as $line) {
            $this->touched += array_fill_keys($line->part->touches, true);
            $this->touched["role:{$line->role->value}"] = true;
            $this->touchedLines[$line->id] = true;
        }
    }
}
