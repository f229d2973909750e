<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

/**
 * Files as other programs write them.
 */
final class Files
{
    /**
     * @param list<list<int|string>> $rows a cell that begins with = is a formula that comes to 2
     */
    public static function ods(array $rows): string
    {
        $xml = '';
        foreach ($rows as $row) {
            $xml .= '<table:table-row>';
            foreach ($row as $cell) {
                $xml .= \is_string($cell) && str_starts_with($cell, '=')
                    ? '<table:table-cell table:formula="of:'.$cell.'" office:value-type="float" office:value="2"><text:p>2</text:p></table:table-cell>'
                    : '<table:table-cell office:value-type="string"><text:p>'.htmlspecialchars((string) $cell).'</text:p></table:table-cell>';
            }
            $xml .= '</table:table-row>';
        }

        return self::zip([
            'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
            'META-INF/manifest.xml' => '<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0"/>',
            'meta.xml' => '<?xml version="1.0"?><office:document-meta xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0"><office:meta/></office:document-meta>',
            'styles.xml' => '<?xml version="1.0"?><office:document-styles xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0"/>',
            'content.xml' => '<?xml version="1.0"?><office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><office:body><office:spreadsheet><table:table table:name="Sheet1">'.$xml.'</table:table></office:spreadsheet></office:body></office:document-content>',
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
            'xl/workbook.xml' => '<workbook xmlns="'.$main.'" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="S" sheetId="1" r:id="s1"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="s1" Type="x" Target="worksheets/sheet1.xml"/></Relationships>',
            'xl/worksheets/sheet1.xml' => '<?xml version="1.0"?>'.$doctype.'<worksheet xmlns="'.$main.'"><sheetData>'.$rows.'</sheetData></worksheet>',
        ]);
    }

    /**
     * @param list<list<string>> $rows
     */
    public static function cells(array $rows): string
    {
        $xml = '';
        foreach ($rows as $row) {
            $xml .= '<row>'.implode('', array_map(static fn (string $cell): string => '<c t="inlineStr"><is><t>'.htmlspecialchars($cell).'</t></is></c>', $row)).'</row>';
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
            'enrollments.csv' => "sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role\n".$enrollments,
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
