<?php

declare(strict_types=1);

namespace App\Actions;

use Illuminate\Validation\ValidationException;

/** A photograph as it is kept: a JPEG of a size that tells what has to be told, and nothing about where it was taken. */
final class Photo
{
    private const MOST_BYTES = 6_000_000;

    private const LONG_SIDE_PX = 1024;

    private const QUALITY = 72;

    /**
     * @param  string  $dataUrl  as a page or a file hands it over
     * @param  int  $longSidePx  to which it is made smaller
     * @return string the bytes of the JPEG
     *
     * @throws ValidationException when it is no picture
     */
    public static function jpeg(string $dataUrl, int $longSidePx = self::LONG_SIDE_PX): string
    {
        $bytes = preg_match('#^data:image/[a-z+.-]+;base64,#', $dataUrl, $head) === 1 ? base64_decode(substr($dataUrl, strlen($head[0])), true) : false;
        if ($bytes === false || strlen($bytes) > self::MOST_BYTES) {
            throw ValidationException::withMessages(['photo' => 'Choose a photograph of at most 6 MB, as JPEG, PNG or WebP.']);
        }
        $size = @getimagesizefromstring($bytes);
        // An unpacked picture takes four bytes a pixel: what would fill the memory is not unpacked.
        $picture = $size === false || $size[0] * $size[1] > 30_000_000 ? false : @imagecreatefromstring($bytes);
        if ($picture === false) {
            throw ValidationException::withMessages(['photo' => 'This file is no photograph that can be read; choose a JPEG, PNG or WebP.']);
        }
        $times = min(1.0, $longSidePx / max(imagesx($picture), imagesy($picture)));
        $small = imagescale($picture, max(1, (int) round(imagesx($picture) * $times)), max(1, (int) round(imagesy($picture) * $times)));
        ob_start();
        imagejpeg($small === false ? $picture : $small, null, self::QUALITY);

        return (string) ob_get_clean();
    }
}
