using System.Globalization;
using System.Text;
using CsCheck;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Layouts;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Random boards through every format, and the same drill file written in every dialect.</summary>
public class LayoutPropertyTests
{
    private static readonly Gen<double> Mm = Gen.Double[-150, 150].Select(v => Math.Round(v, 3));

    private static readonly Gen<Board> Boards = Gen.Select(
        Gen.Select(Mm, Mm, Gen.Double[0.4, 6]).Array[1, 12],
        Gen.Select(Mm, Mm, Gen.Double[0.5, 30], Gen.Double[0.5, 30], Gen.Double[0, 20], Gen.Int[0, 3], Gen.Bool).Array[
            0,
            15
        ],
        (holes, parts) =>
            new Board
            {
                Id = "r",
                Maker = "m",
                Model = "M",
                BoardCode = "C",
                Revision = "R",
                Kind = BoardKind.GraphicsCard,
                Outline = Polygon.Rectangle(default, 400, 400),
                ThicknessMm = 1.6,
                Holes =
                [
                    .. holes.Select(
                        (h, i) =>
                            new BoardHole($"H{i + 1}", h.Item1, h.Item2, Math.Round(h.Item3, 3), HoleRole.Perimeter)
                    ),
                ],
                Parts =
                [
                    .. parts.Select(
                        (p, i) =>
                            new Part
                            {
                                Id = $"P{i + 1}",
                                Kind = PartKind.Other,
                                Face = p.Item7 ? Face.Front : Face.Back,
                                X = p.Item1,
                                Y = p.Item2,
                                WidthMm = Math.Round(p.Item3, 3),
                                DepthMm = Math.Round(p.Item4, 3),
                                HeightMm = Math.Round(p.Item5, 3),
                                RotationDeg = 90 * p.Item6,
                            }
                    ),
                ],
            }
    );

    private static LayoutFile File(string name, string text) => new(name, Encoding.UTF8.GetBytes(text));

    [Fact]
    public void Any_board_comes_back_from_table_and_idf_to_a_micron() =>
        Boards.Sample(
            board =>
            {
                foreach (
                    var read in (LayoutResult[])
                        [
                            LayoutReader.Read([File("b.csv", TableWriter.Write(board))]),
                            LayoutReader.Read([
                                File("b.emn", IdfWriter.Board(board)),
                                File("b.emp", IdfWriter.Library(board)),
                            ]),
                        ]
                )
                {
                    foreach (var (h, r) in board.Holes.Zip(read.Holes))
                        Assert.True(
                            Math.Abs(h.X - r.X) < 1e-3
                                && Math.Abs(h.Y - r.Y) < 1e-3
                                && Math.Abs(h.DiameterMm - r.DiameterMm!.Value) < 1e-3
                        );
                    foreach (var (p, r) in board.Parts.Zip(read.Parts))
                        Assert.True(
                            p.Id == r.Id
                                && p.Face == r.Face
                                && Math.Abs(p.X - r.X) < 1e-3
                                && Math.Abs(p.Y - r.Y) < 1e-3
                                && Math.Abs(p.HeightMm - r.HeightMm!.Value) < 1e-3
                                && Math.Abs(p.WidthMm - r.WidthMm!.Value) < 1e-3
                        );
                    Assert.Equal(board.Parts.Count, read.Parts.Count);
                }
            },
            iter: 200
        );

    /// <summary>Every way the same holes may be written: unit, point or zeros left out, line ends, mark at the start.</summary>
    private static IEnumerable<string> Dialects((double X, double Y)[] mm)
    {
        string Point(double v, double unit) => (v / unit).ToString("0.000000", CultureInfo.InvariantCulture);
        string Digits(double v, double unit, int integers, int decimals, bool leadingKept)
        {
            var n = (long)Math.Round(Math.Abs(v) / unit * Math.Pow(10, decimals));
            var text = n.ToString(CultureInfo.InvariantCulture);
            if (leadingKept)
                text = text.PadLeft(integers + decimals, '0').TrimEnd('0') is { Length: > 0 } t ? t : "0";
            return (v < 0 ? "-" : "") + text;
        }
        string Body(Func<double, string> write, string end) =>
            string.Concat(mm.Select(h => $"X{write(h.X)}Y{write(h.Y)}{end}"));
        yield return "M48\nMETRIC\nT1C1.000\n%\nT1\n" + Body(v => Point(v, 1), "\n") + "M30\n";
        yield return "\uFEFFM48\r\nINCH\r\nT1C0.0393701\r\n%\r\nT1\r\n" + Body(v => Point(v, 25.4), "\r\n") + "M30\r\n";
        yield return "M48\nMETRIC,TZ,000.000\nT1C1.0\n%\nT1\n" + Body(v => Digits(v, 1, 3, 3, false), "\n") + "M30\n";
        yield return "M48\nMETRIC,LZ,000.000\nT1C1.0\n%\nT1\n" + Body(v => Digits(v, 1, 3, 3, true), "\n") + "M30\n";
        yield return "M48\n;FILE_FORMAT=4:5\nMETRIC,TZ\nT1C1.0\n%\nT1\n"
            + Body(v => Digits(v, 1, 4, 5, false), "\n")
            + "M30\n";
        yield return "; a remark\rM48\rM71\rT01F00S00C1.0\r%\rG05\rG90\rT01\r" + Body(v => Point(v, 1), "\r") + "M30\r";
    }

    [Fact]
    public void The_same_holes_in_every_drill_dialect_are_the_same_holes() =>
        Gen.Select(Mm, Mm)
            .Array[1, 20]
            .Sample(
                holes =>
                {
                    foreach (var text in Dialects(holes))
                    {
                        var read = LayoutReader.Read([File("h.drl", text)]).Holes;
                        Assert.Equal(holes.Length, read.Count);
                        foreach (var (h, r) in holes.Zip(read))
                            Assert.True(
                                Math.Abs(h.Item1 - r.X) < 1.1e-3 && Math.Abs(h.Item2 - r.Y) < 1.1e-3,
                                $"{h} read as {r.X}, {r.Y} from {text[..30]}"
                            );
                    }
                },
                iter: 200
            );

    [Fact]
    public void No_garbled_file_ends_in_anything_but_a_reading_or_a_refusal() =>
        Gen.Select(Boards, Gen.Int[0, 3], Gen.Int[0, 5000], Gen.Char)
            .Sample(
                (board, which, at, sign) =>
                {
                    var text = which switch
                    {
                        0 => TableWriter.Write(board),
                        1 => IdfWriter.Board(board),
                        2 => DrawingWriter.Dxf(board),
                        _ => IdfWriter.Library(board),
                    };
                    var place = at % text.Length;
                    var garbled = at % 2 == 0 ? text[..place] : text[..place] + sign + text[(place + 1)..];
                    try
                    {
                        LayoutReader.Read([File("x.txt", garbled)]);
                    }
                    catch (InputException e)
                    {
                        Assert.All(e.Faults, f => Assert.NotEqual("", f.Message));
                    }
                },
                iter: 600
            );
}
