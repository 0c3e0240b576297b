<?php

declare(strict_types=1);

namespace App\Tests\Platform\Exchange;

use App\Platform\Exchange\Field;
use App\Platform\Exchange\InvalidRoomFile;
use App\Platform\Exchange\JsonFile;
use App\Platform\Exchange\RoomFile;
use App\Platform\Exchange\RoomFormat;
use App\Platform\Exchange\SaidEarlier;
use App\Platform\Exchange\Section;
use App\Tests\Reaches;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Yaml\Yaml;

/** Each area has its part of the room's file, and one that comes later leaves earlier files readable. */
final class RoomFormatTest extends TestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/lottel-format-'.bin2hex(random_bytes(6));
        (new Filesystem())->mirror(self::root().'/config/room_format', $this->folder.'/config/room_format');
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
    }

    public function testAPartIsNamedAfterTheAreaWhoseTablesItHas(): void
    {
        $owners = (new Reaches(self::root()))->owners();
        $parts = glob($this->folder.'/config/room_format/*.yaml') ?: [];
        self::assertGreaterThan(15, \count($parts));
        foreach ($parts as $part) {
            /** @var array<string, array{table: string}> $said */
            $said = Yaml::parseFile($part);
            foreach ($said as $section) {
                $area = strtolower(strtr($owners[$section['table']], '/', '.'));
                self::assertMatchesRegularExpression('~/\d\d-'.preg_quote($area, '~').'\.yaml$~', $part, $section['table']);
            }
        }
    }

    public function testAFileFromBeforeAnAreaHasNoneOfItsRows(): void
    {
        $this->addArea("    else: none\n");
        $format = new RoomFormat($this->folder);
        self::assertContains('loose_ends', $format->since());
        self::assertSame([], [...(new RoomFile(new JsonFile($this->earlier()), $format, static fn () => null))->rowsOf('loose_ends')]);
        $required = $format->schema()['required'];
        self::assertIsArray($required);
        self::assertNotContains('loose_ends', $required);
        self::assertContains('kits', $required);
    }

    public function testWhatEveryFileHasMustBeThere(): void
    {
        $this->addArea('');
        $this->expectExceptionObject(new InvalidRoomFile('loose_ends', 'This field is missing.'));
        new RoomFile(new JsonFile($this->earlier()), new RoomFormat($this->folder), static fn () => null);
    }

    public function testWhatAnEarlierFileSaysInWordsIsReadAsAValue(): void
    {
        self::assertSame('used', SaidEarlier::of('movements', 'why', ['note' => 'counted: used without a word']));
        self::assertSame('found here', SaidEarlier::of('movements', 'why', ['note' => 'was found here']));
        self::assertNull(SaidEarlier::of('movements', 'why', ['note' => 'counted: the cat was found here']));
        self::assertSame(12, SaidEarlier::of('places', 'number', ['nature' => 'tray', 'kind' => 'tray', 'address' => 'tray 12']));
        self::assertSame(3, SaidEarlier::of('places', 'number', ['nature' => 'tray', 'kind' => 'basket', 'address' => 'box 3~17']));
        self::assertNull(SaidEarlier::of('places', 'number', ['nature' => 'tray', 'kind' => 'basket', 'address' => 'give-away box']));
        self::assertNull(SaidEarlier::of('places', 'number', ['nature' => 'tray', 'kind' => 'person', 'address' => 'lent to 4 winds']));
        self::assertNull(SaidEarlier::of('places', 'number', ['nature' => 'storage', 'kind' => 'tray', 'address' => 'C 4']));
    }

    public function testAFieldThatCameLaterIsReadFromWhatTheRowSays(): void
    {
        foreach ((new RoomFormat(self::root()))->sections() as $section) {
            foreach ($section->fields as $field) {
                if (Field::SAID_EARLIER === $field->otherwise) {
                    self::assertNull(SaidEarlier::of($section->name, $field->name, []), "{$section->name}.{$field->name}");
                }
            }
        }
    }

    private function addArea(string $else): void
    {
        file_put_contents(
            $this->folder.'/config/room_format/99-upkeep.ends.yaml',
            "loose_ends:\n    table: loose_end\n    says: 'What comes round.'\n{$else}    fields:\n        id: id\n        name: text 60\n",
        );
    }

    /** @return resource a room's file that was written before the area came */
    private function earlier()
    {
        $sections = array_map(static fn (Section $section): string => $section->name, (new RoomFormat(self::root()))->sections());
        $head = ['format' => RoomFormat::NAME, 'version' => 1, 'exported_at' => '2026-11-05T09:30:00Z', 'last_numbers' => new \stdClass()];
        $file = $this->folder.'/room.json';
        file_put_contents($file, json_encode($head + array_fill_keys($sections, []) + ['photos' => []], \JSON_THROW_ON_ERROR));

        return fopen($file, 'r') ?: self::fail('It cannot be read.');
    }

    private static function root(): string
    {
        return \dirname(__DIR__, 3);
    }
}
