<?php

declare(strict_types=1);

namespace App\Tests\Platform\Console;

use App\Platform\Console\ColourCommand;
use App\Platform\Console\CutPlanCommand;
use App\Platform\Console\DesignCommand;
use App\Platform\Console\Document;
use App\Platform\Console\DocumentCommand;
use App\Platform\Console\HomesCommand;
use App\Platform\Console\InvalidDocument;
use App\Platform\Console\PaperCommand;
use App\Platform\Console\RoundCommand;
use App\Platform\Console\ScheduleCommand;
use App\Platform\Console\ScrapsCommand;
use App\Tests\In;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The console commands against their contract: examples, refusals with the path of what is wrong, and broken documents. */
final class CommandsTest extends TestCase
{
    private const CUT = '{"unit": "in", "longest_cut": null, "smallest_strip": 0, "keep": {"short": 1, "long": 2},
        "pieces": [{"id": "panel", "w": "4 1/4", "h": "5 1/2", "qty": 8, "turn": true, "paper": "white-80"}],
        "stock": [{"id": "ream", "w": "8 1/2", "h": 11, "qty": 50, "paper": "white-80", "kind": "sheet"}, {"id": "s-17", "w": 6, "h": 6, "qty": 1,
            "paper": "white-80", "kind": "scrap"}]}';
    private const ROUND = '{"start": {"x": 0, "y": 0}, "end": {"x": 0, "y": 0}, "stops": [{"id": "C3", "x": 1200, "y": 300}, {"id": "D1", "x": 100,
        "y": 1800}], "obstacles": [{"x": 500, "y": 500, "w": 800, "h": 600}]}';
    private const COLOUR = '{"pairs": [[{"lab": [50, 2.6772, -79.7751]}, {"lab": [50, 0, -82.7485]}], [{"hex": "#1f7a6d"}, {"hex": "#b5483a"}]],
        "sort": ["#b5483a", "#1f7a6d", "#808080"]}';
    private const PAPER = '{"weights": [{"lb": 80, "basis": "cover"}, {"gsm": 300}], "stack": {"unit": "in", "w": 8.5, "h": 11, "gsm": 216,
        "grams": 521, "scale_error_grams": 1}}';

    private const SCRAPS = '{"unit": "in", "piece": {"w": 4, "h": "5 1/4", "direction": "none"}, "colour": "#1f5c6b", "tolerance": 5, "gsm": 216,
        "gsm_tolerance": 0.15, "scraps": [{"id": "s1", "w": 6, "h": 6, "colour": "#205d6d", "gsm": 216, "direction": "none"}, {"id": "s2",
        "outline": [[0, 0], [6, 0], [6, 3], [3, 3], [3, 8], [0, 8]], "colour": "#1f5c6b", "gsm": 200, "direction": "h"}]}';

    private const DESIGN = '{"unit": "in", "qty": 12, "finished": {"w": "4 1/4", "h": "5 1/2"}, "fold": "top", "layers": [{"name": "mat", "kind": "mat",
        "reveal": "1/16", "thickness": 0.01}, {"name": "panel", "kind": "mat", "reveal": "1/16", "thickness": 0.012}, {"name": "strip", "kind": "strip",
        "w": "3 1/2", "h": "3/4", "thickness": 0.01, "foam": true}], "base_thickness": 0.014, "foam_thickness": 0.08, "clearance": "1/8",
        "envelopes": [{"id": "A2", "w": "4 3/8", "h": "5 3/4"}, {"id": "A6", "w": "4 3/4", "h": "6 1/2"}]}';

    private const SCHEDULE = '{"today": "2027-03-01", "hours": {"mon": 2, "tue": 2, "wed": 0, "thu": 2, "fri": 0, "sat": 4, "sun": 0},
        "days": {"2027-03-06": 0}, "kits": [{"id": "k1", "due": "2027-03-13", "hours": 5.5, "drying_days": 1, "ready_from": "2027-03-03"},
        {"id": "k2", "due": "2027-03-20", "hours": 0.1, "drying_days": 0, "ready_from": null}]}';

    private const HOMES = '{"moves": 10, "places": [{"id": "C3", "seconds": 6.2, "room": 12000}, {"id": "D1", "seconds": 2.5, "room": 400}],
        "items": [{"id": "i1", "place": "C3", "uses": 14.5, "size": 300, "may": ["C3", "D1"]}, {"id": "7", "place": "D1", "uses": 0, "size": 200,
        "may": ["C3"]}]}';

    /** @var array<string, DocumentCommand>|null */
    private ?array $commands = null;

    public function testTheExamplesOfTheContract(): void
    {
        $cut = $this->answer('cut', self::CUT);
        self::assertSame(
            ['complete', [], 2, 1, 2, true],
            [$cut['status'], $cut['unplaced'], $cut['sheets'], $cut['scraps'], $cut['sheets_bound'], $cut['optimal']],
        );
        $round = $this->answer(
            'round',
            '{"start": {"x": 0, "y": 0}, "end": {"x": 0, "y": 0}, "stops": [{"id": "C3", "x": 1200, "y": 300}], "obstacles": [{"x": 500, "y": 500,
                "w": 800, "h": 600}]}',
        );
        self::assertSame([['C3'], true], [$round['order'], $round['optimal']]);
        self::assertEqualsWithDelta(2473.9, $round['length'], 0.05);
        $colour = $this->answer('colour', self::COLOUR);
        self::assertEqualsWithDelta([2.0425, 50.2875], $colour['delta_e'], 0.00005);
        self::assertSame([['#b5483a', '#1f7a6d', '#808080'], ['red', 'green', 'neutral']], [$colour['sorted'], $colour['families']]);
        $paper = $this->answer('paper', self::PAPER);
        self::assertEqualsWithDelta(216.3, In::of($paper, 'weights', 0, 'gsm'), 0.05);
        self::assertSame(['gsm' => 300.0, 'lb' => null, 'basis' => null], In::of($paper, 'weights', 1));
        self::assertSame([40, 40, 40], [In::of($paper, 'stack', 'sheets'), In::of($paper, 'stack', 'least'), In::of($paper, 'stack', 'most')]);
        self::assertEqualsWithDelta(13.03, In::of($paper, 'stack', 'sheet_grams'), 0.005);
        $scraps = $this->answer('scraps', self::SCRAPS);
        self::assertSame(
            ['s1', false, 15.0],
            [In::of($scraps, 'matches', 0, 'id'), In::of($scraps, 'matches', 0, 'turned'), In::of($scraps, 'matches', 0, 'left_over')],
        );
        self::assertSame([['id' => 's2', 'why' => 'size']], $scraps['near']);
    }

    public function testScrapsAreAnsweredInTheUnitOfTheirDocument(): void
    {
        $any = str_replace(['"colour": "#1f5c6b", "tolerance"', '"gsm": 216,'."\n"], ['"colour": null, "tolerance"', '"gsm": null,'."\n"], self::SCRAPS);
        $answer = $this->answer('scraps', str_replace(['"w": 4,', '"5 1/4"'], ['"w": "2 1/3",', '3.25'], $any));
        self::assertSame(['s2', 's1'], array_column((array) $answer['matches'], 'id'));
        self::assertEqualsWithDelta(33 - 7 / 3 * 3.25, In::of($answer, 'matches', 0, 'left_over'), 1e-12, 'thirds of an inch are exact');
        self::assertNull(In::of($answer, 'matches', 0, 'delta_e'));
        $moved = str_replace('[[0, 0], [6, 0], [6, 3], [3, 3], [3, 8], [0, 8]]', '[[-3, "-1/2"], [-3, 7.5], [0, 7.5], [0, 2.5], [3, 2.5], [3, -0.5]]', $any);
        self::assertSame($answer, $this->answer('scraps', str_replace(['"w": 4,', '"5 1/4"'], ['"w": "2 1/3",', '3.25'], $moved)), 'wherever it lies');
        $turned = $this->answer('scraps', str_replace(['"w": 4, "h": "5 1/4", "direction": "none"'], ['"w": 3, "h": 8, "direction": "w"'], $any));
        self::assertSame([['id' => 's1', 'why' => 'size'], ['id' => 's2', 'why' => 'direction']], $turned['near']);
        self::assertSame(['matches' => [], 'near' => []], $this->answer('scraps', (string) preg_replace('/"scraps": .*$/s', '"scraps": []}', self::SCRAPS)));
    }

    /** Weights as the US trade's conversion tables print them, rounded to whole g/m²; from memory. */
    public function testWeightsAgreeWithTheTradesTables(): void
    {
        foreach (
            [
                [20, 'bond', 75],
                [24, 'bond', 90],
                [60, 'text', 89],
                [80, 'text', 118],
                [100, 'text', 148],
                [65, 'cover', 176],
                [80, 'cover', 216],
                [100, 'cover', 270],
                [110, 'cover', 298],
                [90, 'index', 163],
                [110, 'index', 199],
                [100, 'tag', 163],
                [150, 'tag', 244],
            ] as [$lb, $basis, $gsm]
        ) {
            $answer = $this->answer('paper', json_encode(['weights' => [['lb' => $lb, 'basis' => $basis]]], \JSON_THROW_ON_ERROR));
            self::assertEqualsWithDelta($gsm, In::of($answer, 'weights', 0, 'gsm'), 1.0, "{$lb} lb {$basis}");
        }
    }

    /** Every n with |n × sheet − grams| within the scale's error, and none else, by trying all. */
    public function testTheStackIsCountedHonestly(): void
    {
        mt_srand(500);
        for ($case = 0; $case < 300; ++$case) {
            [$gsm, $grams, $error] = [mt_rand(60, 350), mt_rand(1, 6000) / 4, mt_rand(0, 40) / 4];
            $answer = $this->answer(
                'paper',
                json_encode(
                    ['stack' => ['unit' => 'mm', 'w' => 210, 'h' => 297, 'gsm' => $gsm, 'grams' => $grams, 'scale_error_grams' => $error]],
                    \JSON_THROW_ON_ERROR,
                ),
            );
            [$sheets, $least, $most] = [In::of($answer, 'stack', 'sheets'), In::of($answer, 'stack', 'least'), In::of($answer, 'stack', 'most')];
            $sheet = 0.21 * 0.297 * $gsm;
            $possible = array_values(array_filter(range(0, 2000), static fn (int $n): bool => abs($n * $sheet - $grams) <= $error + 1e-9));
            self::assertSame((int) round($grams / $sheet), $sheets);
            self::assertSame([] === $possible ? [$sheets, $sheets] : [min($possible), max($possible)], [$least, $most]);
        }
    }

    /** @return iterable<array{string, string, string}> */
    public static function broken(): iterable
    {
        yield ['cut', '[', ''];
        yield ['cut', '[]', ''];
        yield ['cut', 'null', ''];
        yield ['cut', str_replace('"in"', '"ell"', self::CUT), 'unit'];
        yield ['cut', str_replace('"unit": "in",', '', self::CUT), 'unit'];
        yield ['cut', str_replace('"4 1/4"', '"4 1/0"', self::CUT), 'pieces[0].w'];
        yield ['cut', str_replace('"5 1/2"', '-5', self::CUT), 'pieces[0].h'];
        yield ['cut', str_replace('"w": 6', '"w": 0', self::CUT), 'stock[1].w'];
        yield ['cut', str_replace('"4 1/4"', '1e-12', self::CUT), 'pieces[0].w'];
        yield ['cut', str_replace('"w": 6', '"w": 1e999', self::CUT), 'stock[1].w'];
        yield ['cut', str_replace('"w": 6', '"w": NaN', self::CUT), ''];
        yield ['cut', str_replace('"w": 6', '"w": [6]', self::CUT), 'stock[1].w'];
        yield ['cut', str_replace('"qty": 8', '"qty": 0', self::CUT), 'pieces[0].qty'];
        yield ['cut', str_replace('"qty": 8', '"qty": 1.5', self::CUT), 'pieces[0].qty'];
        yield ['cut', str_replace('"qty": 50', '"qty": 10001', self::CUT), 'stock[0].qty'];
        yield ['cut', str_replace('"turn": true', '"turn": 1', self::CUT), 'pieces[0].turn'];
        yield ['cut', str_replace('"scrap"', '"rag"', self::CUT), 'stock[1].kind'];
        yield ['cut', str_replace('"s-17"', '"ream"', self::CUT), 'stock[1].id'];
        yield ['cut', str_replace('"longest_cut": null', '"longest_cut": -1', self::CUT), 'longest_cut'];
        yield ['cut', str_replace('"smallest_strip": 0', '"smallest_strip": "-1/8"', self::CUT), 'smallest_strip'];
        yield ['cut', str_replace('"short": 1, ', '', self::CUT), 'keep.short'];
        yield ['cut', str_replace('"turn": true, ', '', self::CUT), 'pieces[0].turn'];
        yield ['cut', str_replace('"longest_cut": null, ', '', self::CUT), 'longest_cut'];
        yield ['round', str_replace('"x": 1200', '"x": 700', str_replace('"y": 300', '"y": 700', self::ROUND)), 'stops[0]'];
        yield ['round', str_replace('"start": {"x": 0, "y": 0}', '"start": {"x": 600, "y": 600}', self::ROUND), 'start'];
        yield ['round', str_replace('"end": {"x": 0, "y": 0}', '"end": {"x": 600, "y": 600}', self::ROUND), 'end'];
        yield ['round', str_replace('"end": {"x": 0, "y": 0}', '"end": {"x": 0}', self::ROUND), 'end.y'];
        yield ['round', str_replace('"D1"', '"C3"', self::ROUND), 'stops[1].id'];
        yield ['round', str_replace('"w": 800', '"w": -800', self::ROUND), 'obstacles[0].w'];
        yield [
            'round',
            '{"start": {"x": 0, "y": 0}, "end": null, "stops": [{"id": "a", "x": 150, "y": 150}], "obstacles": [{"x":0,"y":50,"w":300,"h":60},
                {"x":0,"y":190,"w":300,"h":60},{"x":50,"y":0,"w":60,"h":300},{"x":190,"y":0,"w":60,"h":300}]}',
            'stops[0]',
        ];
        yield ['colour', str_replace('#b5483a"}', '#b5483"}', self::COLOUR), 'pairs[1][1].hex'];
        yield ['colour', str_replace('[50, 0, -82.7485]', '[50, 0]', self::COLOUR), 'pairs[0][1].lab'];
        yield ['colour', str_replace('[50, 0, -82.7485]', '[50, "0", 3]', self::COLOUR), 'pairs[0][1].lab[1]'];
        yield ['colour', '{"sort": ["red"]}', 'sort[0]'];
        yield ['scraps', str_replace('"w": 4', '"w": 0', self::SCRAPS), 'piece.w'];
        yield ['scraps', str_replace('"h": "5 1/4", ', '', self::SCRAPS), 'piece.h'];
        yield ['scraps', str_replace('"direction": "none"}, "colour"', '"direction": "up"}, "colour"', self::SCRAPS), 'piece.direction'];
        yield ['scraps', str_replace('"tolerance": 5', '"tolerance": -1', self::SCRAPS), 'tolerance'];
        yield ['scraps', str_replace('"gsm_tolerance": 0.15', '"gsm_tolerance": "0.15"', self::SCRAPS), 'gsm_tolerance'];
        yield ['scraps', str_replace('"#205d6d"', '"petrel"', self::SCRAPS), 'scraps[0].colour'];
        yield ['scraps', str_replace('"gsm": 200', '"gsm": 0', self::SCRAPS), 'scraps[1].gsm'];
        yield ['scraps', str_replace('"s2"', '"s1"', self::SCRAPS), 'scraps[1].id'];
        yield ['scraps', str_replace('"w": 6, "h": 6', '"w": 6', self::SCRAPS), 'scraps[0].h'];
        yield ['scraps', str_replace('[3, 3], [3, 8]', '[3, -3], [3, 8]', self::SCRAPS), 'scraps[1].outline'];
        yield ['scraps', str_replace('[0, 8]]', '[0, 8], [0, 0]]', self::SCRAPS), 'scraps[1].outline'];
        yield ['scraps', str_replace('[6, 3]', '[6, 3, 1]', self::SCRAPS), 'scraps[1].outline[2]'];
        yield ['scraps', str_replace('[6, 3]', '[6, "x"]', self::SCRAPS), 'scraps[1].outline[2][1]'];
        yield ['scraps', str_replace('"w": 6, "h": 6', '"w": 6, "h": 6, "outline": []', self::SCRAPS), 'scraps[0].outline'];
        yield ['paper', str_replace('"cover"', '"felt"', self::PAPER), 'weights[0].basis'];
        yield ['paper', str_replace('"lb": 80', '"lb": 0', self::PAPER), 'weights[0].lb'];
        yield ['paper', str_replace('"grams": 521', '"grams": -1', self::PAPER), 'stack.grams'];
        yield ['paper', str_replace('"scale_error_grams": 1', '"scale_error_grams": -1', self::PAPER), 'stack.scale_error_grams'];
        yield ['paper', str_replace('"unit": "in"', '"unit": "pt"', self::PAPER), 'stack.unit'];
    }

    #[DataProvider('broken')]
    public function testARefusalNamesTheField(string $command, string $json, string $field): void
    {
        try {
            $this->answer($command, $json);
            self::fail('Answered: '.$json);
        } catch (InvalidDocument $invalid) {
            self::assertSame($field, $invalid->field);
            self::assertNotSame('', $invalid->getMessage());
        }
    }

    public function testACardIsTakenApart(): void
    {
        $answer = $this->answer('design', self::DESIGN);
        self::assertSame(
            ['name' => 'base', 'w' => 4.25, 'h' => 11, 'qty' => 12, 'scores' => [['axis' => 'y', 'at' => 5.5]], 'window' => null],
            In::of($answer, 'pieces', 0),
        );
        self::assertSame(['name' => 'mat', 'w' => 4.125, 'h' => 5.375, 'qty' => 12, 'scores' => [], 'window' => null], In::of($answer, 'pieces', 1));
        self::assertEqualsWithDelta(0.14, $answer['thickness'], 1e-12);
        self::assertSame('A6', $answer['envelope'], 'with its thickness it is too large for A2');
    }

    /** By hand: a third of a millimetre stays one, half of an odd width too, and what is exactly as large goes in. */
    public function testWhatLiesOnAnEdgeIsExact(): void
    {
        $gate = ['unit' => 'mm', 'qty' => 1, 'finished' => ['w' => '100 1/3', 'h' => 0.1], 'fold' => 'gate', 'layers' => [], 'base_thickness' => 0.05,
            'clearance' => 0, 'envelopes' => [['id' => 'a', 'w' => 0.2, 'h' => 100.4333333]]];
        $answer = $this->answer('design', json_encode($gate, \JSON_THROW_ON_ERROR));
        self::assertEqualsWithDelta([301 / 6, 301 / 6 + 301 / 3], [
            In::of($answer, 'pieces', 0, 'scores', 0, 'at'),
            In::of($answer, 'pieces', 0, 'scores', 1, 'at'),
        ], 1e-9);
        self::assertNull($answer['envelope'], 'a fraction of a nanometre too short');
        $gate['envelopes'] = [['id' => 'a', 'w' => 0.2, 'h' => '100 13/30']];
        self::assertSame('a', $this->answer('design', json_encode($gate, \JSON_THROW_ON_ERROR))['envelope']);
        unset($gate['envelopes']);
        self::assertNull($this->answer('design', json_encode($gate, \JSON_THROW_ON_ERROR))['envelope'], 'none to choose from');
    }

    /** @return iterable<string, array{string, string, string}> what is replaced by what, and the field that is named */
    public static function designsThatCannotBe(): iterable
    {
        yield 'a layer larger than what it lies on' => ['"3 1/2"', '"4 1/2"', 'layers[2]'];
        yield 'a reveal that takes all' => ['"reveal": "1/16", "thickness": 0.012', '"reveal": 3, "thickness": 0.012', 'layers[1].reveal'];
        yield 'a negative reveal' => ['"reveal": "1/16", "thickness": 0.012', '"reveal": -1, "thickness": 0.012', 'layers[1].reveal'];
        yield 'no thickness' => ['"thickness": 0.012', '"thick": 0.012', 'layers[1].thickness'];
        yield 'a fold of another kind' => ['"top"', '"middle"', 'fold'];
        yield 'a layer of another kind' => ['"kind": "strip"', '"kind": "boat"', 'layers[2].kind'];
        yield 'a die-cut piece, which is none of the contract' => ['"kind": "strip"', '"kind": "die-cut"', 'layers[2].kind'];
        yield 'a window not inside its frame' => ['"mat", "reveal": "1/16", "thickness": 0.012', '"frame", "reveal": 0, "window": {"w": 2, "h": 6},
            "thickness": 0.012', 'layers[1].window'];
        yield 'a window of nothing' => ['"mat", "reveal": "1/16", "thickness": 0.012', '"frame", "reveal": 0, "window": {"w": 0, "h": 6},
            "thickness": 0.012', 'layers[1].window.w'];
        yield 'a frame without a window' => ['"mat", "reveal": "1/16", "thickness": 0.012', '"frame", "reveal": 0, "thickness": 0.012', 'layers[1].window'];
        yield 'none' => ['"qty": 12', '"qty": 0', 'qty'];
        yield 'too many' => ['"qty": 12', '"qty": 10001', 'qty'];
        yield 'an id twice' => ['"id": "A6"', '"id": "A2"', 'envelopes[1].id'];
        yield 'foam that has no thickness' => ['"foam_thickness"', '"foam"', 'foam_thickness'];
        yield 'foam that is no yes or no' => ['"foam": true', '"foam": 1', 'layers[2].foam'];
        yield 'no clearance' => ['"clearance"', '"clear"', 'clearance'];
        yield 'an envelope of nothing' => ['"w": "4 3/4"', '"w": 0', 'envelopes[1].w'];
    }

    #[DataProvider('designsThatCannotBe')]
    public function testADesignThatCannotBeIsRefused(string $what, string $by, string $field): void
    {
        self::assertStringContainsString($what, self::DESIGN);
        try {
            $this->answer('design', str_replace($what, $by, self::DESIGN));
            self::fail('It was answered.');
        } catch (InvalidDocument $invalid) {
            self::assertSame($field, $invalid->field);
        }
    }

    public function testKitsAreWorkedOnAsLateAsTheirDatesAllow(): void
    {
        $answer = $this->answer('schedule', self::SCHEDULE);
        self::assertSame([
            'id' => 'k1',
            'start' => '2027-03-08',
            'done' => '2027-03-12',
            'late' => 0,
            'work' => [['day' => '2027-03-08', 'hours' => 1.5], ['day' => '2027-03-09', 'hours' => 2], ['day' => '2027-03-11', 'hours' => 2]],
        ], In::of($answer, 'kits', 0));
        self::assertSame(['2027-03-20', [['day' => '2027-03-20', 'hours' => 0.1]]], [In::of($answer, 'kits', 1, 'start'), In::of($answer, 'kits', 1, 'work')]);
        self::assertSame(0, $answer['most_late']);
        $none = preg_replace('/"kits": \[.*\]/s', '"kits": []', self::SCHEDULE);
        self::assertSame(['kits' => [], 'most_late' => 0], $this->answer('schedule', (string) $none));
        $undated = str_replace(['"days": {"2027-03-06": 0},', ', "ready_from": "2027-03-03"'], '', self::SCHEDULE);
        self::assertSame('2027-03-08', In::of($this->answer('schedule', $undated), 'kits', 0, 'start'), 'days and ready_from may be missing');
    }

    public function testTheMovesThatSaveMost(): void
    {
        $answer = $this->answer('homes', self::HOMES);
        self::assertSame([['item' => 'i1', 'from' => 'C3', 'to' => 'D1'], ['item' => '7', 'from' => 'D1', 'to' => 'C3']], $answer['moves'], 'one makes way');
        self::assertSame([89.9, 36.25, 36.25, true], [$answer['before'], $answer['after'], $answer['bound'], $answer['optimal']]);
        $one = $this->answer('homes', str_replace('"moves": 10', '"moves": 1', self::HOMES));
        self::assertSame([[], 89.9, true], [$one['moves'], $one['after'], $one['optimal']], 'alone it does not fit');
        $none = (string) preg_replace('/"items": \[.*\]/s', '"items": []', self::HOMES);
        $empty = $this->answer('homes', $none);
        self::assertSame([[], 0.0, 0.0, true], [$empty['moves'], $empty['before'], $empty['after'], $empty['optimal']]);
    }

    /** @return iterable<string, array{string, string, string}> what is replaced by what, and the field that is named */
    public static function homesThatCannotBe(): iterable
    {
        yield 'fewer moves than none' => ['"moves": 10', '"moves": -1', 'moves'];
        yield 'half a move' => ['"moves": 10', '"moves": 1.5', 'moves'];
        yield 'a place twice' => ['"id": "D1"', '"id": "C3"', 'places[1].id'];
        yield 'seconds below none' => ['"seconds": 6.2', '"seconds": -6.2', 'places[0].seconds'];
        yield 'seconds without end' => ['"seconds": 6.2', '"seconds": 1e300', 'places[0].seconds'];
        yield 'half a room' => ['"room": 400', '"room": 400.5', 'places[1].room'];
        yield 'a thing twice' => ['"id": "7"', '"id": "i1"', 'items[1].id'];
        yield 'a place that is none' => ['"place": "C3"', '"place": "Z9"', 'items[0].place'];
        yield 'a home that is none' => ['["C3", "D1"]', '["C3", "Z9"]', 'items[0].may[1]'];
        yield 'homes that are no list' => ['["C3", "D1"]', '"D1"', 'items[0].may'];
        yield 'a thing of no size' => ['"size": 300', '"size": 0', 'items[0].size'];
        yield 'uses below none' => ['"uses": 14.5', '"uses": -1', 'items[0].uses'];
        yield 'no uses' => ['"uses": 14.5, ', '', 'items[0].uses'];
    }

    #[DataProvider('homesThatCannotBe')]
    public function testHomesThatCannotBeAreRefused(string $what, string $by, string $field): void
    {
        self::assertStringContainsString($what, self::HOMES);
        try {
            $this->answer('homes', str_replace($what, $by, self::HOMES));
            self::fail('It was answered.');
        } catch (InvalidDocument $invalid) {
            self::assertSame($field, $invalid->field);
        }
    }

    /** @return iterable<string, array{string, string, string}> what is replaced by what, and the field that is named */
    public static function schedulesThatCannotBe(): iterable
    {
        yield 'a today that is none' => ['"2027-03-01"', '"2027-02-30"', 'today'];
        yield 'a due date that is none' => ['"2027-03-13"', '"13 March"', 'kits[0].due'];
        yield 'no due date' => ['"due": "2027-03-13", ', '', 'kits[0].due'];
        yield 'a day that is none' => ['"2027-03-06"', '"2027-3-6"', 'days.2027-3-6'];
        yield 'a day of 25 hours' => ['"2027-03-06": 0', '"2027-03-06": 25', 'days.2027-03-06'];
        yield 'a weekday of fewer than none' => ['"wed": 0', '"wed": -0.5', 'hours.wed'];
        yield 'a weekday that is missing' => ['"wed": 0, ', '', 'hours.wed'];
        yield 'hours that are text' => ['"wed": 0', '"wed": "0"', 'hours.wed'];
        yield 'a kit of no hours' => ['"hours": 5.5', '"hours": 0', 'kits[0].hours'];
        yield 'half a drying day' => ['"drying_days": 1', '"drying_days": 0.5', 'kits[0].drying_days'];
        yield 'drying backward' => ['"drying_days": 1', '"drying_days": -1', 'kits[0].drying_days'];
        yield 'ready on no day' => ['"2027-03-03"', '20270303', 'kits[0].ready_from'];
        yield 'an id twice' => ['"k2"', '"k1"', 'kits[1].id'];
        yield 'more than ten years hold' => ['"hours": 5.5', '"hours": 5220', 'hours'];
        yield 'more than any years hold' => ['"hours": 5.5', '"hours": 1e300', 'hours'];
        yield 'days that are a list' => ['{"2027-03-06": 0}', '[]', 'days'];
    }

    #[DataProvider('schedulesThatCannotBe')]
    public function testAScheduleThatCannotBeIsRefused(string $what, string $by, string $field): void
    {
        self::assertStringContainsString($what, self::SCHEDULE);
        try {
            $this->answer('schedule', str_replace($what, $by, self::SCHEDULE));
            self::fail('It was answered.');
        } catch (InvalidDocument $invalid) {
            self::assertSame($field, $invalid->field);
        }
    }

    /** Twelve thousand documents broken at random: a refusal or an answer, never anything else, in little memory. */
    public function testBrokenDocumentsAreRefusedOrAnswered(): void
    {
        mt_srand(20261125);
        $examples = ['cut' => self::CUT, 'round' => self::ROUND, 'colour' => self::COLOUR, 'paper' => self::PAPER, 'scraps' => self::SCRAPS,
            'design' => self::DESIGN, 'schedule' => self::SCHEDULE, 'homes' => self::HOMES];
        $refused = $answered = 0;
        for ($i = 0; $i < 12000; ++$i) {
            $command = array_keys($examples)[$i % 8];
            $json = 0 === mt_rand(0, 5) ? $this->tornText($examples[$command]) : $this->brokenTree($examples[$command]);
            try {
                $answer = $this->answer($command, $json);
                self::assertJson((string) json_encode($answer));
                ++$answered;
            } catch (InvalidDocument $invalid) {
                self::assertNotSame('', $invalid->getMessage());
                ++$refused;
            }
        }
        self::assertGreaterThan(6000, $refused);
        self::assertGreaterThan(500, $answered);
        self::assertLessThan(256 * 1024 * 1024, memory_get_peak_usage(true));
    }

    public function testTheConsolePrintsOneDocumentAndTheRightStatus(): void
    {
        foreach (
            [
                ['lottel:paper', self::PAPER, 0],
                ['lottel:paper', '{"stack": 3}', 2],
                ['lottel:round', '', 2],
                ['lottel:colour', "\xff\xfe", 2],
                ['lottel:cut-plan', '{"unit": "in"}', 2],
                ['lottel:scraps', self::SCRAPS, 0],
                ['lottel:design', self::DESIGN, 0],
                ['lottel:schedule', self::SCHEDULE, 0],
                ['lottel:homes', self::HOMES, 0],
            ] as [$command, $json, $status]
        ) {
            $process = new Process(['php', 'bin/console', $command, '-'], \dirname(__DIR__, 3), ['APP_ENV' => 'test', 'APP_DEBUG' => '0']);
            $process->setInput($json);
            $process->run();
            self::assertSame($status, $process->getExitCode(), $process->getErrorOutput());
            $printed = json_decode($process->getOutput(), true);
            self::assertIsArray($printed);
            self::assertSame(2 === $status, null !== In::of($printed, 'error', 'field') && null !== In::of($printed, 'error', 'message'));
            self::assertSame(1, substr_count(trim($process->getOutput()), "\n") + 1);
        }
        $missing = new Process(['php', 'bin/console', 'lottel:paper', '/no/such/file'], \dirname(__DIR__, 3), ['APP_ENV' => 'test', 'APP_DEBUG' => '0']);
        $missing->run();
        self::assertSame(2, $missing->getExitCode());
    }

    /** @return array<string, mixed> */
    private function answer(string $command, string $json): array
    {
        $commands = $this->commands ??= [
            'cut' => new CutPlanCommand(0.001),
            'round' => new RoundCommand(),
            'colour' => new ColourCommand(),
            'paper' => new PaperCommand(),
            'scraps' => new ScrapsCommand(),
            'design' => new DesignCommand(),
            'schedule' => new ScheduleCommand(),
            'homes' => new HomesCommand(),
        ];

        return $commands[$command]->answer(Document::parse($json));
    }

    private function tornText(string $json): string
    {
        $at = mt_rand(0, \strlen($json));
        $junk = ['', '}', '"', "\0", "\xff", '1e999', 'NaN', '-', '[[[[', '🐦'][mt_rand(0, 9)];

        return substr($json, 0, $at).$junk.substr($json, min(\strlen($json), $at + mt_rand(0, 12)));
    }

    private function brokenTree(string $json): string
    {
        $tree = json_decode($json, true);
        for ($i = 0, $times = mt_rand(1, 3); $i < $times; ++$i) {
            $this->breakOne($tree);
        }

        return str_replace('"@infinite"', '1e999', json_encode($tree, \JSON_THROW_ON_ERROR));
    }

    private function breakOne(mixed &$node): void
    {
        $junk = [
            null,
            true,
            '',
            'x',
            -1,
            0,
            0.1,
            1.5,
            1e12,
            1e-12,
            99999999999999,
            '@infinite',
            '1/0',
            '4 1/4',
            [],
            ['a' => 1],
            [[1]],
            'sheet',
            '#12345g',
            7,
            3,
            12,
            '2 1/3',
        ];
        if (!\is_array($node) || [] === $node || 0 === mt_rand(0, 6)) {
            $node = $junk[mt_rand(0, \count($junk) - 1)];

            return;
        }
        $key = array_rand($node);
        if (0 === mt_rand(0, 5)) {
            unset($node[$key]);
        } elseif (0 === mt_rand(0, 5) && array_is_list($node)) {
            $node[] = $node[$key];
        } else {
            $this->breakOne($node[$key]);
        }
    }
}
