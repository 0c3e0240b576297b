<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Database\Row;
use App\Platform\Web\Measures;
use Doctrine\DBAL\Connection;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelPacking;
use Lottel\Core\Label\LabelSheet;
use Lottel\Core\Label\LabelSize;
use Lottel\Core\Measure\Length;

/** The sheets that labels can be printed on: plain paper, the usual ones, one's own. */
final readonly class LabelSheets
{
    private const PLAIN = ['plain-a4' => ['Plain A4, to cut up', 2100, 2970], 'plain-letter' => ['Plain letter, to cut up', 2159, 2794]];

    public function __construct(private Connection $database, private Measures $measures)
    {
    }

    /** @return array<string, string> name by key */
    public function names(): array
    {
        $names = array_map(static fn (array $plain): string => $plain[0], self::PLAIN);
        foreach (LabelSheet::usual() as $key => $sheet) {
            [$width, $height] = [Length::ofTenthMillimetres($sheet->label->width), Length::ofTenthMillimetres($sheet->label->height)];
            $names[$key] = $sheet->name.' of '.$this->measures->lengths()->sides($width, $height);
        }
        foreach ($this->database->fetchAllAssociative("SELECT 'own-' || id AS key, name FROM label_sheet ORDER BY name") as $columns) {
            $row = new Row($columns);
            $names[$row->text('key')] = $row->text('name');
        }

        return $names;
    }

    /** The paper that a room uses unless a person says otherwise: the one of its measure. */
    public static function usual(bool $isMetric): string
    {
        return $isMetric ? 'plain-a4' : 'plain-letter';
    }

    /** Plain paper by its key, null where it is a sheet of labels. */
    public function plain(string $key): ?LabelPacking
    {
        return isset(self::PLAIN[$key]) ? new LabelPacking(self::PLAIN[$key][1], self::PLAIN[$key][2]) : null;
    }

    /** @throws InvalidLabel if there is no such sheet */
    public function sheet(string $key): LabelSheet
    {
        $own = $this->database->fetchOne("SELECT measures FROM label_sheet WHERE 'own-' || id = ?", [$key]);

        return \is_string($own) ? $this->own($key, json_decode($own, true) ?: []) : LabelSheet::usual()[$key] ?? throw InvalidLabel::noSuchSheet();
    }

    /**
     * @param list<int> $measures page, margins, columns and rows, label, gaps; in tenths of a millimetre
     *
     * @throws InvalidLabel if such a sheet cannot be
     */
    public function add(string $name, array $measures): void
    {
        if (\in_array($name, $this->names(), true)) {
            throw LabelsRefused::sheetIsThere($name);
        }
        $this->own($name, $measures);
        $this->database->insert('label_sheet', ['name' => $name, 'measures' => json_encode($measures)]);
    }

    private function own(string $name, mixed $measures): LabelSheet
    {
        $m =
            array_map(
                static fn (mixed $measure): int => is_numeric($measure) ? (int) $measure : 0,
                \is_array($measures) ? array_values($measures) : [],
            ) + array_fill(0, 10, 0);

        return new LabelSheet($name, $m[0], $m[1], $m[2], $m[3], $m[4], $m[5], new LabelSize($m[6], $m[7]), $m[8], $m[9]);
    }
}
