using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Formats.Drawers;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Formats.Records;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The drawer as a table and on labels.</summary>
public partial class DrawerTableTests
{
    private static IReadOnlyList<DrawerRowRead> Read(string text) =>
        DrawerTable.Read(Encoding.UTF8.GetBytes(text), null);

    [Fact]
    public void What_goes_out_comes_back_as_it_was()
    {
        var drawer = Drawer.Empty with
        {
            Pads = [new("=soft, \"1\"", "soft-3", 1.5, 100, 40, 3, true)],
            Screws = [new("M2.5x6", "M2.5", 6, 40)],
            Consumables = [new("alcohol", "alcohol", 240, "mL", 60, null)],
            Tools = [new("T6", "T6")],
        };
        var rows = Read(DrawerTable.Write(drawer));
        Assert.Equal(["pad", "screw", "consumable", "tool"], rows.Select(r => r.Kind));
        Assert.Equal("=soft, \"1\"", rows[0].Id);
        Assert.Equal(
            (1.5, 3, true),
            (
                rows[0].Fields["thicknessMm"]!.GetValue<double>(),
                rows[0].Fields["count"]!.GetValue<long>(),
                rows[0].Fields["offcut"]!.GetValue<bool>()
            )
        );
        Assert.Equal("mL", rows[2].Fields["unit"]!.GetValue<string>());
    }

    [Fact]
    public void A_count_sheet_of_another_program_reads_too()
    {
        var row = Read("Stock on Monday\n\nID;Count;Thickness (mm)\nsoft-3;7;1,5\n").Single();
        Assert.Equal(
            (4, "soft-3", 7L, 1.5),
            (row.Line, row.Id, row.Fields["count"]!.GetValue<long>(), row.Fields["thicknessMm"]!.GetValue<double>())
        );
    }

    [Theory]
    [InlineData("id,count\na,three\nb,2.5\n", "Line 2, count", "Line 3, count")]
    [InlineData("kind,id,offcut\nbolt,x,perhaps\n", "Line 2, offcut", "Line 2, kind")]
    public void Every_cell_that_does_not_read_is_named(string text, params string[] places) =>
        Assert.Equal(
            places,
            Assert.Throws<InputException>(() => Read(text)).Faults.Select(f => f.Message.Split(':')[0])
        );

    /// <summary>Stress = m·g/A: 2 kg on 400 mm² are 0.04903 MPa; 1.0 mm pressed to 0.8 is a squash of 0.2.</summary>
    [Fact]
    public void A_weighed_piece_gives_its_curve()
    {
        var curve = WeighedPad.Curve(1, 400, [new(4000, 0.65), new(2000, 0.8)]);
        Assert.Equal([0.2, 0.35], curve.Select(p => Math.Round(p.X, 9)));
        Assert.Equal(0.04903, curve[0].Y, 5);
        Assert.Equal(0.09807, curve[1].Y, 5);
        var e = Assert.Throws<InputException>(() => WeighedPad.Curve(1, 400, [new(2000, 0.8), new(4000, 0.85)]));
        Assert.Equal("/readings/1/leftMm", e.Faults[0].Field);
    }

    [GeneratedRegex(@"M([\d.]+) ([\d.]+)h([\d.]+)v([\d.]+)h-")]
    private static partial Regex BarPattern();

    /// <summary>What is printed is what a reader of another make reads, codes with blanks and umlauts too.</summary>
    [Theory]
    [InlineData("Job", "7")]
    [InlineData("Tray", "7/A1")]
    [InlineData("Drawer", "pad/soft-3 1,5 größe")]
    public void A_printed_label_is_read_back(string of, string key)
    {
        const int perMm = 8;
        var label = new Label(Enum.Parse<LabelOf>(of), key, "Title <&>", "sub");
        var svg = LabelSheet.Draw([label], 1);
        System.Xml.Linq.XDocument.Parse(svg);
        var pixels = new byte[80 * perMm * 50 * perMm];
        Array.Fill(pixels, (byte)255);
        foreach (System.Text.RegularExpressions.Match m in BarPattern().Matches(svg))
        {
            double N(int g) => double.Parse(m.Groups[g].Value, CultureInfo.InvariantCulture) * perMm;
            for (var y = (int)Math.Round(N(2)); y < Math.Round(N(2) + N(4)); y++)
            for (var x = (int)Math.Round(N(1)); x < Math.Round(N(1) + N(3)); x++)
                pixels[y * 80 * perMm + x] = 0;
        }
        var read = LabelReader.Read(new(80 * perMm, 50 * perMm, pixels));
        Assert.Equal(label.Code, read);
        Assert.Equal((label.Of, key), Label.Parse(read!));
        Assert.Null(Label.Parse("https://elsewhere/7"));
    }
}
