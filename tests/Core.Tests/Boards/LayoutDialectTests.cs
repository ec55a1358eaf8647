using System.Text;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Layouts;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Placement tables and drill files as they come from elsewhere.</summary>
public class LayoutDialectTests
{
    private static LayoutResult Read(params (string Name, string Text)[] files) =>
        LayoutReader.Read([.. files.Select(f => new LayoutFile(f.Name, Encoding.UTF8.GetBytes(f.Text)))]);

    private static LayoutResult Read(string text) => Read(("a.txt", text));

    [Theory]
    [InlineData(
        "# RefDes, Description, Package, X, Y, rotation, top/bottom\nU1,chip,bga,10.0,20.0,90,bottom\nC2,cap,0402,-5.5,3.25,0,top\n"
    )]
    [InlineData("#Designator X-Loc Y-Loc Rotation Side\nU1 10.0 20.0 90 B\nC2 -5.5 3.25 0 T\n")]
    [InlineData("#Designator\tX-Loc\tY-Loc\tRotation\tSide\nU1\t10.0\t20.0\t90\tbottom\nC2\t-5.5\t3.25\t0\ttop\n")]
    [InlineData(
        "; Ref Des   X Loc   Y Loc   Rotation   Board Side\nU1   10.0   20.0   90   Bottom\nC2   -5.5   3.25   0   Top\n"
    )]
    [InlineData("# RefDes, X, Y, rotation, top/bottom\nU1 10.0 20.0 90 bottom\nC2 -5.5 3.25 0 top\n")]
    [InlineData("Ref;PosX (mm);PosY (mm);Rot;Mounting\nU1;10,0;20,0;90;bottom\nC2;-5,5;3,25;0;top\n")]
    public void Headers_in_remarks_and_in_other_words(string text)
    {
        var parts = Read(text).Parts;
        Assert.Equal(["U1", "C2"], parts.Select(p => p.Id));
        Assert.Equal((10, 20, 90, Face.Back), (parts[0].X, parts[0].Y, parts[0].RotationDeg, parts[0].Face));
        Assert.Equal((-5.5, 3.25, 0, Face.Front), (parts[1].X, parts[1].Y, parts[1].RotationDeg, parts[1].Face));
    }

    [Theory]
    [InlineData("# X,Y in mil.\nref,x,y\nU1,2480,1000\n", 62.992)]
    [InlineData("# coordinates are in mils\nref,x,y\nU1,2480,1000\n", 62.992)]
    [InlineData("# all values in in\nref,x,y\nU1,2.48,1\n", 62.992)]
    [InlineData("# mm\nref,x,y\nU1,62.992,25.4\n", 62.992)]
    [InlineData("; Units: mils\nref,x,y\nU1,2480,1000\n", 62.992)]
    [InlineData("* dimensions in millimeters\nref,x,y\nU1,62.992,25.4\n", 62.992)]
    public void Units_told_in_a_remark(string text, double x)
    {
        var part = Read(text).Parts[0];
        Assert.Equal((x, 25.4), (part.X, part.Y));
    }

    [Fact]
    public void Sides_as_numbers_and_turns_the_other_way_are_said()
    {
        var numbers = Read("ref,x,y,rotation,side\nU1,1,1,30,1\nU2,30,1,30,2\n");
        Assert.Equal([Face.Front, Face.Back], numbers.Parts.Select(p => p.Face));
        Assert.Contains(numbers.Assumptions, a => a.Contains("1 is taken as top", StringComparison.Ordinal));
        var zeros = Read("ref,x,y,rotation,side\nU1,1,1,30,0\nU2,30,1,30,1\n");
        Assert.Equal([Face.Front, Face.Back], zeros.Parts.Select(p => p.Face));
        var turned = Read("# rotation is clockwise\nref,x,y,rotation\nU1,1,1,30\nU2,30,1,0\n");
        Assert.Equal(-30, turned.Parts[0].RotationDeg);
        Assert.Contains(turned.Assumptions, a => a.Contains("clockwise", StringComparison.Ordinal));
        Assert.Equal(30, Read("# counter-clockwise\nref,x,y,rotation\nU1,1,1,30\nU2,30,1,0\n").Parts[0].RotationDeg);
    }

    [Fact]
    public void A_column_that_was_not_understood_is_named()
    {
        var read = Read("ref,x,y,feeder,comment\nU1,1,1,F3,none\nU2,30,1,F4,none\n");
        Assert.Contains(read.Assumptions, a => a.Contains("feeder, comment", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("M30\n")]
    [InlineData("%\nM30\n")]
    [InlineData("M48\nMETRIC\n%\nM30\n")]
    [InlineData("; nothing to drill\nINCH,LZ\n%\nM30\n")]
    public void A_drill_file_with_nothing_but_its_end_holds_no_holes(string text)
    {
        var read = Read(("a.drl", text), ("b.csv", "ref,x,y\nU1,1,1\nU2,40,30\n"));
        Assert.Empty(read.Holes);
        Assert.Equal(2, read.Parts.Count);
    }

    /// <summary>Four holes at the corners of 120 × 80 mm, written in several layouts of digits.</summary>
    private static string Drill(string head, Func<double, string> number) =>
        $"M48\n{head}\nT1C0.118\n%\nT1\n"
        + string.Concat(
            ((double, double)[])[(5, 5), (125, 5), (125, 85), (5, 85)] is var at
                ? at.Select(p => $"X{number(p.Item1)}Y{number(p.Item2)}\n")
                : []
        )
        + "M30\n";

    private static string Inches(double mm, int decimals) =>
        Math.Round(mm / 25.4 * Math.Pow(10, decimals)).ToString("0");

    private const string Placement = "ref,x,y (mm)\nU1,10,10\nU2,120,80\nU3,60,40\n";

    [Theory]
    [InlineData(4)]
    [InlineData(3)]
    [InlineData(5)]
    public void Digits_that_no_header_settles_are_those_that_agree_with_the_other_files(int decimals)
    {
        var read = Read(("a.drl", Drill("INCH", mm => Inches(mm, decimals))), ("b.csv", Placement));
        Assert.Equal(120, read.Holes.Max(h => h.X) - read.Holes.Min(h => h.X), 0.2);
        Assert.Contains(read.Assumptions, a => a.Contains($".{decimals} digits", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(3)]
    [InlineData(2)]
    [InlineData(4)]
    public void Alone_they_are_those_that_make_a_board_of_believable_size(int decimals)
    {
        var read = Read(
            Drill("METRIC", mm => Math.Round(mm * Math.Pow(10, decimals)).ToString("0")).Replace("T1C0.118", "T1C3.0")
        );
        var span = read.Holes.Max(h => h.X) - read.Holes.Min(h => h.X);
        Assert.InRange(span, 20, 700);
        Assert.Contains(read.Assumptions, a => a.Contains("would make it", StringComparison.Ordinal));
    }

    [Fact]
    public void What_no_board_is_like_is_warned_of()
    {
        var huge = Read("ref,x,y\nU1,0,0\nU2,2480,1000\n");
        Assert.Contains(huge.Warnings, w => w.Text.Contains("which no board is", StringComparison.Ordinal));
        var beside = Read(
            "what,id,x,y\noutline,,0,0\noutline,,100,0\noutline,,100,60\npart,U1,50,20\npart,U9,300,20\n"
        );
        Assert.Contains(beside.Warnings, w => w.Text.Contains("outside the outline: U9", StringComparison.Ordinal));
    }

    [Fact]
    public void What_no_file_states_is_unknown_and_asked_about_with_a_guess_and_its_reason()
    {
        // four memory chips about the die, three stages, one chip of which nothing is known; C2 states its height
        var read = Read(
            "ref,x,y,width,depth,height\nU1,0,0,24,22,\nU2,40,0,14,12,\nU3,-40,0,14,12,\nU4,0,40,14,12,\nU5,0,-40,14,12,\n"
                + "Q1,80,0,5,6,\nQ2,80,8,5,6,\nQ3,80,16,5,6,\nU9,90,40,9,9,\nC1,20,30,2,1,\nC2,40,30,2,1,1.5\n"
        );
        var board = LayoutBoard.From(read, new("b", "m", "x", "c", "r", "U1"));
        Part Of(string id) => board.FindPart(id)!;
        Assert.True(Of("C1").HeightUnknown);
        Assert.Equal((1.5, 0), (Of("C2").HeightMm, Of("C2").HeightTolMm));
        Assert.Equal((PartKind.Unknown, PartKind.Capacitor), (Of("U2").Kind, Of("C1").Kind));
        var document = System.Text.Encoding.UTF8.GetString(Formats.Documents.DocumentWriter.Write(board));
        Assert.DoesNotContain("\"cool\": \"no\"", document, StringComparison.Ordinal);
        Assert.Contains("\"cool\": \"must\"", document, StringComparison.Ordinal);

        var questions = LayoutQuestions.Create(read, "U1");
        var memory = questions.Single(q => q.Parts.Contains("U2"));
        Assert.Equal(["U2", "U3", "U4", "U5"], memory.Parts);
        Assert.Equal((PartKind.Memory, "4 alike of 14.0 × 12.0 mm near the die"), (memory.GuessKind, memory.Why));
        Assert.Equal(PartKind.PowerStage, questions.Single(q => q.Parts.Contains("Q1")).GuessKind);
        Assert.Null(questions.Single(q => q.Parts.Contains("U9")).GuessKind);
        // the die is known to be one; its height is asked
        Assert.Equal(
            (false, true),
            questions.Where(q => q.Parts.Contains("U1")).Select(q => (q.AsksKind, q.AsksHeight)).Single()
        );
        var list = LayoutQuestions.PartByPart(questions);
        Assert.Equal(8, list.Count(u => u.What == AskedOf.Kind));
        Assert.Equal(10, list.Count(u => u.What == AskedOf.Height));
        Assert.Equal("memory", list.Single(u => u is { Part: "U3", What: AskedOf.Kind }).Guess);

        Assert.Equal(
            "/answers/0/parts",
            Assert
                .Throws<InputException>(() => LayoutQuestions.With(read, [new(["U77"], PartKind.Memory, 1.1)]))
                .Faults[0]
                .Field
        );
        // what is answered is asked no more, and memory has to be cooled
        var answered = LayoutQuestions.With(read, [new(["U2", "U3", "U4", "U5"], PartKind.Memory, 1.1)]);
        Assert.DoesNotContain(LayoutQuestions.Create(answered, "U1"), q => q.Parts.Contains("U2"));
        var chip = LayoutBoard.From(answered, new("b", "m", "x", "c", "r", "U1")).FindPart("U4")!;
        Assert.Equal(
            (PartKind.Memory, 1.1, Cooling.Must, false),
            (chip.Kind, chip.HeightMm, chip.Cool, chip.IsUnknown)
        );
    }
}
