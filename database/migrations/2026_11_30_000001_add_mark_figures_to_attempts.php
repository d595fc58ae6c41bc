<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Of a mark its figures alone, kept by the database beside it: a class's record reads thousands of marks, whose
 * sentences are long.
 */
return new class() extends Migration {
    public function up(): void
    {
        DB::statement(<<<'SQL'
            ALTER TABLE attempts ADD COLUMN mark_figures LONGTEXT GENERATED ALWAYS AS (
                IF(mark IS NULL, NULL, JSON_OBJECT(
                    'total', JSON_EXTRACT(mark, '$.total'), 'passed', JSON_EXTRACT(mark, '$.passed'),
                    'lines', JSON_EXTRACT(mark, '$.lines[*].id'), 'shares', JSON_EXTRACT(mark, '$.lines[*].share'),
                    'weights', JSON_EXTRACT(mark, '$.lines[*].weight')
                ))
            ) STORED
            SQL);
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE attempts DROP COLUMN mark_figures');
    }
};
