<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

/**
 * Files as other programs write them.
 */
final class Files
{
    /**
     * @param 'jpeg'|'png'|'webp' $type
     * @param string              $hidden what a camera writes beside a JPEG picture: TIFF, as Exif has it
     *
     * @return string a picture, red on its left half and blue on its right
     */
    public static function picture(
        string $type = 'png',
        int $width = 40,
        int $height = 20,
        string $hidden = '',
    ): string {
        $picture = imagecreatetruecolor(max(1, $width), max(1, $height));
        \assert(false !== $picture);
        imagefilledrectangle($picture, 0, 0, intdiv($width, 2) - 1, $height, 0xFF0000);
        imagefilledrectangle($picture, intdiv($width, 2), 0, $width, $height, 0x0000FF);
        ob_start();
        match ($type) {
            'jpeg' => imagejpeg($picture, null, 95),
            'png' => imagepng($picture),
            'webp' => imagewebp($picture, null, 100),
        };
        $bytes = (string) ob_get_clean();

        return '' === $hidden
            ? $bytes
            : substr($bytes, 0, 2).
                    "\xFF\xE1".
                    pack('n', \strlen($hidden) + 8).
                    "Exif\0\0".
                    $hidden.
                    substr($bytes, 2);
    }

    /**
     * Exif of a camera that was held upright (orientation 6), with words a camera would write.
     */
    public static function exif(string $words): string
    {
        $words .= "\0";

        return "II*\0\x08\0\0\0\x02\0".
            pack('vvVV', 0x010E, 2, \strlen($words), 38). // what is on it
            pack('vvVvv', 0x0112, 3, 1, 6, 0). // which way up
            "\0\0\0\0".
            $words;
    }

    /**
     * Silence as MP3 (MPEG-1 layer III, 32 kbit/s, 32 kHz: 36 ms a frame).
     */
    public static function mp3(float $seconds): string
    {
        return str_repeat("\xFF\xFB\x18\xC4".str_repeat("\0", 140), max(1, (int) round($seconds / 0.036)));
    }

    /**
     * @param list<list<int|string>> $rows a cell that begins with = is a formula that comes to 2
     */
    public static function ods(array $rows): string
    {
        $xml = '';
        foreach ($rows as $row) {
            $xml .= '<table:table-row>';
            foreach ($row as $cell) {
                $xml .=
                    \is_string($cell) && str_starts_with($cell, '=')
                        ? '<table:table-cell table:formula="of:'.
                            $cell.
                            '" office:value-type="float" office:value="2"><text:p>2</text:p></table:table-cell>'
                        : '<table:table-cell office:value-type="string"><text:p>'.
                            htmlspecialchars((string) $cell).
                            '</text:p></table:table-cell>';
            }
            $xml .= '</table:table-row>';
        }

        return self::zip([
            'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
            'META-INF/manifest.xml' => '<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0"/>',
            'meta.xml' => '<?xml version="1.0"?><office:document-meta xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0"><office:meta/></office:document-meta>',
            'styles.xml' => '<?xml version="1.0"?><office:document-styles xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0"/>',
            'content.xml' => '<?xml version="1.0"?><office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><office:body><office:spreadsheet><table:table table:name="Sheet1">'.
                $xml.
                '</table:table></office:spreadsheet></office:body></office:document-content>',
        ]);
    }

    /**
     * @param string $rows    of the sheet, as XML
     * @param string $doctype before it
     */
    public static function xlsx(string $rows, string $doctype = ''): string
    {
        $main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

        return self::zip([
            'xl/workbook.xml' => '<workbook xmlns="'.
                $main.
                '" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="S" sheetId="1" r:id="s1"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="s1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
            'xl/worksheets/sheet1.xml' => '<?xml version="1.0"?>'.
                $doctype.
                '<worksheet xmlns="'.
                $main.
                '"><sheetData>'.
                $rows.
                '</sheetData></worksheet>',
        ]);
    }

    /**
     * @param list<list<string>> $rows
     */
    public static function cells(array $rows): string
    {
        $xml = '';
        foreach ($rows as $row) {
            $xml .=
                '<row>'.
                implode(
                    '',
                    array_map(
                        static fn (string $cell): string => '<c t="inlineStr"><is><t>'.
                            htmlspecialchars($cell).
                            '</t></is></c>',
                        $row,
                    ),
                ).
                '</row>';
        }

        return $xml;
    }

    /**
     * @param list<array{string, string, string}> $students given name, family name, id
     */
    public static function oneRoster(array $students): string
    {
        $users = $enrollments = '';
        foreach ($students as [$given, $family, $id]) {
            $users .= "{$id},,,true,{$id},,{$given},{$family}\n";
            $enrollments .= "e{$id},,,c1,,{$id},student\n";
        }

        return self::zip([
            'manifest.csv' => "propertyName,value\noneroster.version,1.2\n",
            'classes.csv' => "sourcedId,status,dateLastModified,title\nc1,,,9G\n",
            'users.csv' => "sourcedId,status,dateLastModified,enabledUser,username,userIds,givenName,familyName\n".$users,
            'enrollments.csv' => "sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role\n".
                $enrollments,
        ]);
    }

    /**
     * @param array<string, string> $files
     */
    public static function zip(array $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ($files as $name => $text) {
            $zip->addFromString($name, $text);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }
}
