<?php

declare(strict_types=1);

namespace ZipStream;

use RuntimeException;
use ZipArchive;
use ZipStream\Exception\OverflowException;

/** What the spreadsheet writer uses of a streaming ZIP writer, over PHP's own ZipArchive. See compat/README.md. */
final class ZipStream
{
    private const MOST_BYTES = 4_000_000_000;

    private ZipArchive $archive;

    private string $path;

    private int $bytes = 0;

    /** @param  resource  $outputStream */
    public function __construct(
        private $outputStream,
        bool $enableZip64 = false,
        bool $sendHttpHeaders = false,
        bool $defaultEnableZeroHeader = false,
    ) {
        $this->path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        $this->archive = new ZipArchive;
        if ($this->archive->open($this->path, ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('No temporary file can be written.');
        }
    }

    /** @throws OverflowException */
    public function addFile(string $fileName, string $data): void
    {
        $this->bytes += strlen($data);
        if ($this->bytes > self::MOST_BYTES) {
            throw new OverflowException('The spreadsheet is larger than a ZIP file holds.');
        }
        $this->archive->addFromString($fileName, $data);
        if ($fileName === 'mimetype') {
            // An ODS file is told by its first bytes.
            $this->archive->setCompressionName($fileName, ZipArchive::CM_STORE);
        }
    }

    /** @return int bytes written */
    public function finish(): int
    {
        $this->archive->close();
        $in = fopen($this->path, 'rb');
        $written = $in === false ? 0 : (int) stream_copy_to_stream($in, $this->outputStream);
        if ($in !== false) {
            fclose($in);
        }
        unlink($this->path);

        return $written;
    }
}
