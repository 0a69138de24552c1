<?php

declare(strict_types=1);

namespace PocketPlot\File;

/**
 * JSON as arrays, except that an empty group stays an object: read as an array it would be written
 * back as an empty list, and the file would no longer follow its schema.
 */
final class Json
{
    /** @throws \JsonException */
    public static function decode(string $text): mixed
    {
        return self::asArrays(json_decode($text, false, 64, JSON_THROW_ON_ERROR));
    }

    /** @throws \JsonException */
    public static function encode(mixed $value, int $flags = 0): string
    {
        return json_encode($value, $flags | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
    }

    /**
     * The text of a file: laid out for people to read, and without that where it would grow beyond what can be taken in again.
     *
     * @throws \JsonException
     */
    public static function inFile(mixed $value, int $mostBytes): string
    {
        $text = self::encode($value, JSON_PRETTY_PRINT)."\n";

        return strlen($text) <= $mostBytes ? $text : self::encode($value)."\n";
    }

    public static function asArrays(mixed $value): mixed
    {
        if ($value instanceof \stdClass) {
            $fields = get_object_vars($value);

            return $fields === [] ? $value : array_map(self::asArrays(...), $fields);
        }

        return is_array($value) ? array_map(self::asArrays(...), $value) : $value;
    }
}
