using System.IO.Compression;
using System.Text;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Layouts;
using FaithfulBracket.Formats.Logs;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Sheets of workbooks, read as their text would be.</summary>
public class WorkbookTests
{
    private const string Main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main",
        Links = "http://schemas.openxmlformats.org/officeDocument/2006/relationships",
        Package = "http://schemas.openxmlformats.org/package/2006/";

    /// <summary>A workbook of plain sheets; text that starts with # is a number.</summary>
    private static byte[] Workbook(Dictionary<string, string[][]> sheets, params (string Name, byte[] Content)[] more)
    {
        using var memory = new MemoryStream();
        using (var zip = new ZipArchive(memory, ZipArchiveMode.Create, true))
        {
            void Put(string name, string text)
            {
                using var part = zip.CreateEntry(name).Open();
                part.Write(Encoding.UTF8.GetBytes(text));
            }
            const string rels = "application/vnd.openxmlformats-package.relationships+xml";
            string Relations(IEnumerable<string> each) =>
                $"<Relationships xmlns='{Package}relationships'>{string.Concat(each)}</Relationships>";
            string Relation(string id, string type, string target) =>
                $"<Relationship Id='{id}' Type='{Links}/{type}' Target='{target}'/>";
            Put(
                "[Content_Types].xml",
                $"<Types xmlns='{Package}content-types'><Default Extension='rels' ContentType='{rels}'/>"
                    + "<Default Extension='xml' ContentType='application/xml'/></Types>"
            );
            Put("_rels/.rels", Relations([Relation("a", "officeDocument", "xl/workbook.xml")]));
            var names = sheets.Keys.ToList();
            var listed = names.Select((n, i) => $"<sheet name='{n}' sheetId='{i + 1}' r:id='r{i}'/>");
            Put(
                "xl/workbook.xml",
                $"<workbook xmlns='{Main}' xmlns:r='{Links}'><sheets>{string.Concat(listed)}</sheets></workbook>"
            );
            Put(
                "xl/_rels/workbook.xml.rels",
                Relations(names.Select((_, i) => Relation($"r{i}", "worksheet", $"worksheets/sheet{i + 1}.xml")))
            );
            for (var s = 0; s < names.Count; s++)
            {
                var rows = sheets[names[s]]
                    .Select((r, y) => $"<row r='{y + 1}'>{string.Concat(r.Select((c, x) => Cell(c, x, y)))}</row>");
                Put(
                    $"xl/worksheets/sheet{s + 1}.xml",
                    $"<worksheet xmlns='{Main}'><sheetData>{string.Concat(rows)}</sheetData></worksheet>"
                );
            }
            foreach (var (name, content) in more)
            {
                using var part = zip.CreateEntry(name, CompressionLevel.SmallestSize).Open();
                part.Write(content);
            }
        }
        return memory.ToArray();

        static string Cell(string text, int x, int y) =>
            text.Length == 0 ? ""
            : text[0] == '#' ? $"<c r='{(char)('A' + x)}{y + 1}'><v>{text[1..]}</v></c>"
            : $"<c r='{(char)('A' + x)}{y + 1}' t='inlineStr'><is><t>{text}</t></is></c>";
    }

    private static readonly string[][] Placement =
    [
        ["Placement list"],
        [],
        ["Designator", "Mid X", "Mid Y", "Rotation", "Layer", "Footprint"],
        ["", "mm", "mm", "deg", "", ""],
        ["U1", "#34.48", "#-4.25", "#90", "Top", "BGA 32x30"],
        ["C1", "#-20", "#43", "#0", "Bottom", "Header 2x5"],
    ];

    private static LayoutResult Read(byte[] content, string? sheet = null) =>
        LayoutReader.Read([new("list.xlsx", content)], new(Sheet: sheet));

    [Fact]
    public void A_title_an_empty_row_and_a_row_of_units_are_no_parts()
    {
        var r = Read(Workbook(new() { ["List"] = Placement }));
        Assert.Equal(
            [("U1", 34.48, -4.25, 90, Face.Front, 32, 30), ("C1", -20, 43, 0, Face.Back, 0, 0)],
            r.Parts.Select(p => (p.Id, p.X, p.Y, p.RotationDeg, p.Face, p.WidthMm ?? 0, p.DepthMm ?? 0))
        );
        Assert.Contains(r.Assumptions, a => a.Contains("BGA 32x30", StringComparison.Ordinal));
    }

    [Fact]
    public void Inches_with_decimal_commas_as_text()
    {
        var r = Read(
            Workbook(
                new()
                {
                    ["A"] =
                    [
                        ["Ref", "X (in)", "Y (in)", "Side"],
                        ["M1", "0,41260", "1,65354", "T"],
                    ],
                }
            )
        );
        Assert.Equal((10.48, 42), (Math.Round(r.Parts[0].X, 3), Math.Round(r.Parts[0].Y, 3)));
    }

    [Fact]
    public void Another_sheet_is_read_when_it_is_named_and_named_when_the_first_has_no_table()
    {
        var book = Workbook(
            new()
            {
                ["Notes"] =
                [
                    ["checked"],
                ],
                ["List"] = Placement,
            }
        );
        Assert.Equal(2, Read(book, "List").Parts.Count);
        var e = Assert.Throws<InputException>(() => Read(book));
        Assert.Contains("Other sheets: List; choose one with sheet=", e.Message, StringComparison.Ordinal);
        e = Assert.Throws<InputException>(() => Read(book, "Parts"));
        Assert.Contains("there are Notes, List", e.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_logger_saves_workbooks_too()
    {
        var csv = new LogCsv(
            Workbook(
                new()
                {
                    ["Log"] =
                    [
                        ["time (s)", "die (°C)"],
                        ["#0", "#40.5"],
                        ["#5", "#41.5"],
                    ],
                }
            )
        );
        var log = csv.Read([.. csv.Look(null).Columns.Select(c => c.Guess).OfType<LogColumn>()]);
        Assert.Equal([0, 5], log.TimesS);
    }

    public static TheoryData<string, byte[]> Broken()
    {
        var good = Workbook(new() { ["List"] = Placement });
        return new()
        {
            { "password", [0xD0, 0xCF, 0x11, 0xE0, 0xA1, 0xB1, 0x1A, 0xE1, .. new byte[600]] },
            { "macros", Workbook(new() { ["List"] = Placement }, ("xl/vbaProject.bin", [1, 2, 3])) },
            { "64 MiB", Workbook(new() { ["List"] = Placement }, ("xl/media/x.bin", new byte[70_000_000])) },
            { "cut off", good[..(good.Length / 2)] },
            { "not a workbook", Zipped("notes.txt") },
            { "can't be read", Workbook(new() { ["<"] = Placement }) },
        };
    }

    private static byte[] Zipped(string name)
    {
        using var memory = new MemoryStream();
        using (var zip = new ZipArchive(memory, ZipArchiveMode.Create, true))
            zip.CreateEntry(name);
        // an empty entry alone still begins as a local file header
        return memory.ToArray();
    }

    [Theory]
    [MemberData(nameof(Broken))]
    public void Bad_workbooks_get_one_sentence_with_the_fix(string says, byte[] content)
    {
        var e = Assert.Throws<InputException>(() => Read(content));
        Assert.Contains(says, Assert.Single(e.Faults).Message, StringComparison.Ordinal);
        Assert.StartsWith("list.xlsx: ", e.Faults[0].Message, StringComparison.Ordinal);
    }
}
