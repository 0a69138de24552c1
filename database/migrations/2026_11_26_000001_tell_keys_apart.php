<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Keys of a file are told apart letter by letter, as the core does: "Case" and "case", "a" and "á", "x" and "x " are two. */
return new class extends Migration
{
    private const KEYS = [
        'build_parts' => ['key' => 80], 'build_lines' => ['key' => 80, 'slot' => 80], 'build_ticks' => ['step' => 160], 'build_readings' => ['key' => 80],
        'parts' => ['key' => 80], 'build_joins' => ['output' => 60, 'input' => 60],
    ];

    public function up(): void
    {
        $this->collate('utf8mb4_nopad_bin');
    }

    public function down(): void
    {
        $this->collate('utf8mb4_unicode_ci');
    }

    private function collate(string $collation): void
    {
        foreach (self::KEYS as $table => $columns) {
            foreach ($columns as $column => $letters) {
                $default = $column === 'input' ? " default ''" : '';
                DB::statement("alter table {$table} modify `{$column}` varchar({$letters}) character set utf8mb4 collate {$collation} not null{$default}");
            }
        }
    }
};
