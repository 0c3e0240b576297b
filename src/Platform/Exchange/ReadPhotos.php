<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\Room\Catalogue\InvalidPhoto;
use App\Room\Catalogue\KeepPhoto;

/** Takes the photos out of a room's file. */
final readonly class ReadPhotos
{
    public function __construct(private KeepPhoto $photos)
    {
    }

    /**
     * @return list<string> the photos that were not there before
     *
     * @throws InvalidRoomFile if one is no photo, or cannot be written
     */
    public function from(RoomFile $file): array
    {
        $new = [];
        try {
            foreach ($file->photos() as $index => $photo) {
                [$name, $jpeg] = $this->photo($photo, "photos[{$index}]");
                if ($this->photos->takeOver($name, $jpeg)) {
                    $new[] = $name;
                }
            }
        } catch (InvalidPhoto $invalid) {
            $this->throwAway($new);
            throw new InvalidRoomFile("photos[{$index}].jpeg", $invalid->getMessage(), $invalid);
        } catch (InvalidRoomFile $invalid) {
            $this->throwAway($new);
            throw $invalid;
        }

        return $new;
    }

    /** @param list<string> $names */
    public function throwAway(array $names): void
    {
        array_map($this->photos->throwAway(...), $names);
    }

    /** @return array{string, string} its name and its bytes */
    private function photo(mixed $photo, string $path): array
    {
        if (!$photo instanceof \stdClass) {
            throw new InvalidRoomFile($path, 'This must be an object.');
        }
        $fields = get_object_vars($photo);
        foreach (['name', 'jpeg'] as $field) {
            if (!\is_string($fields[$field] ?? null)) {
                throw new InvalidRoomFile("{$path}.{$field}", 'This must be text.');
            }
        }
        if (1 !== preg_match('~'.FieldKind::Photo->pattern().'~D', $fields['name'])) {
            throw new InvalidRoomFile("{$path}.name", FieldKind::Photo->wanted());
        }
        $jpeg = base64_decode($fields['jpeg'], true);

        return false === $jpeg ? throw new InvalidRoomFile("{$path}.jpeg", 'This is not base64.') : [$fields['name'], $jpeg];
    }
}
