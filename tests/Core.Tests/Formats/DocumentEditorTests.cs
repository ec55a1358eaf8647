using System.Text;
using System.Text.Json.Nodes;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Blocks.Assumed;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Documents.Editing;
using FaithfulBracket.Formats.Layouts;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Documents changed step by step, and blocks begun from a board.</summary>
public class DocumentEditorTests
{
    private static readonly string Tern = File.ReadAllText(Path.Combine(Sample.Demo, "boards/tern-460-r2.board.json"));

    private static Boards.Board Board(JsonNode document) =>
        BoardReader.Read(Encoding.UTF8.GetBytes(document.ToJsonString()));

    private static JsonNode Edited(params DocumentEdit[] edits) =>
        DocumentEditor.Apply(JsonNode.Parse(Tern)!, edits).Document;

    [Fact]
    public void A_row_goes_on_numbering_and_lies_a_step_apart()
    {
        var edited = DocumentEditor.Apply(JsonNode.Parse(Tern)!, [new RowEdit("/holes/0", 3, 4, -2)]);
        var holes = Board(edited.Document).Holes;
        var before = Board(JsonNode.Parse(Tern)!).Holes;
        Assert.Equal(
            Enumerable.Range(1, 3).Select(n => (before[0].X + 4 * n, before[0].Y - 2 * n)),
            holes.Skip(before.Count).Select(h => (h.X, h.Y))
        );
        Assert.Equal(holes.Count, holes.Select(h => h.Id).Distinct().Count());
        Assert.Equal([.. Enumerable.Range(before.Count, 3).Select(i => $"/holes/{i}")], edited.Made);
    }

    [Theory]
    [InlineData("0.5 in", 12.7)]
    [InlineData("500 mil", 12.7)]
    [InlineData("12,7", 12.7)]
    [InlineData("1.27cm", 12.7)]
    public void Lengths_are_taken_in_any_unit(string said, double mm) =>
        Assert.Equal(mm, Board(Edited(new SetEdit("/parts/1/widthMm", said))).Parts[1].WidthMm, 9);

    [Theory]
    [InlineData("1e999")]
    [InlineData("99999999999")]
    [InlineData("3 cubits")]
    public void What_is_no_length_of_a_board_is_refused_at_its_field(string said) =>
        Assert.Equal(
            "/parts/1/widthMm",
            Assert.Throws<InputException>(() => Edited(new SetEdit("/parts/1/widthMm", said))).Faults[0].Field
        );

    [Fact]
    public void A_field_that_stands_twice_is_told() =>
        Assert.Contains(
            "stands twice",
            Assert.Throws<InputException>(() => DocumentText.Read("{\"id\":\"a\",\"id\":\"b\"}", "/document")).Message,
            StringComparison.Ordinal
        );

    [Fact]
    public void A_height_is_unknown_again_and_a_figure_taken_away()
    {
        var part = Board(Edited(new SetEdit("/parts/1/heightMm", null), new SetEdit("/parts/1/limitC", null))).Parts[1];
        Assert.True(part.HeightUnknown);
        Assert.Null(part.LimitC);
    }

    /// <summary>The top of the copy is the mirrored top, whatever shape and turn it has.</summary>
    [Fact]
    public void Mirrored_copies_lie_where_a_mirror_shows_them()
    {
        var random = new Random(5);
        for (var n = 0; n < 200; n++)
        {
            var document = JsonNode.Parse(Tern)!;
            var part = document["parts"]![1]!;
            part["rotationDeg"] = Math.Round(random.NextDouble() * 360 - 180, 1);
            if (n % 2 == 0)
                part["outline"] = JsonNode.Parse("[[-5,-3],[6,-3],[2,4]]");
            var (across, about) = (n % 3 == 0, Math.Round(random.NextDouble() * 40, 1));
            var mirrored = Board(
                DocumentEditor.Apply(document, [new MirrorEdit(["/parts/1"], across, about)]).Document
            );
            var (own, copy) = (mirrored.Parts[1].Top(), mirrored.Parts[^1].Top());
            Point2 Over(Point2 p) => across ? new(2 * about - p.X, p.Y) : new(p.X, 2 * about - p.Y);
            foreach (var corner in own.Points.Select(Over))
                Assert.True(copy.Points.Any(p => (p - corner).Length < 1e-3), $"drawing {n}: no corner at {corner}");
        }
    }

    [Theory]
    [InlineData("")]
    [InlineData("/outline")]
    [InlineData("/assembly")]
    [InlineData("/parts/0/kind")]
    [InlineData("/parts/99999")]
    [InlineData("no pointer")]
    [InlineData("/a/a/a/a/a/a/a/a/a/a/a/a/a/a/a/a/a")]
    public void What_can_not_be_done_there_is_refused(string at)
    {
        foreach (
            var edit in (DocumentEdit[])
                [
                    new RowEdit(at, 2, 1, 1),
                    new MirrorEdit([at], true, 0),
                    new AddEdit(at, null, 0, 0, false),
                    // the board's own outline may be turned
                    at.Length > 0
                        ? new TurnEdit([at], 10)
                        : new AddEdit(at, null, 0, 0, true),
                ]
        )
            Assert.StartsWith(
                "/edits/0",
                Assert.Throws<InputException>(() => Edited(edit)).Faults[0].Field,
                StringComparison.Ordinal
            );
    }

    /// <summary>
    /// Whatever is done, the document given stays as it was, and what comes of it reads or is refused with a place in it.
    /// </summary>
    [Fact]
    public void A_thousand_sequences_never_make_a_document_that_reads_wrong()
    {
        var read = 0;
        for (var seed = 1; seed <= 1000; seed++)
        {
            var random = new Random(seed);
            var now = JsonNode.Parse(Tern)!;
            var past = new Stack<string>();
            for (var i = 0; i < 12; i++)
            {
                var before = now.ToJsonString();
                try
                {
                    var next = DocumentEditor.Apply(now, [Drawn(random, now)]).Document;
                    Board(next);
                    past.Push(before);
                    now = next;
                    read++;
                }
                catch (InputException e)
                {
                    Assert.All(e.Faults, f => Assert.StartsWith("/", f.Field, StringComparison.Ordinal));
                    Assert.Equal(before, now.ToJsonString());
                }
            }
            while (past.TryPop(out var text))
                now = JsonNode.Parse(text)!;
            Assert.Equal(JsonNode.Parse(Tern)!.ToJsonString(), now.ToJsonString());
        }
        Assert.True(read > 6000, $"{read} edits were taken");
    }

    private static DocumentEdit Drawn(Random random, JsonNode document)
    {
        var list = random.Next(2) == 0 ? "parts" : "holes";
        string One() => $"/{list}/{random.Next(document[list]!.AsArray().Count + 1)}";
        double Mm() => Math.Round(random.NextDouble() * 60 - 30, 2);
        return random.Next(8) switch
        {
            0 => new MoveEdit([One()], Mm(), Mm()),
            1 => new TurnEdit([One()], Mm()),
            2 => new AddEdit($"/{list}", null, Mm(), Mm(), random.Next(2) == 0),
            3 => new RowEdit(One(), random.Next(1, 4), Mm(), Mm()),
            4 => new MirrorEdit([One(), One()], random.Next(2) == 0, Mm()),
            5 => new RemoveEdit([One()]),
            6 => new SetEdit($"{One()}/{(list == "parts" ? "heightMm" : "diameterMm")}", Mm()),
            _ => new SetEdit($"{One()}/x", random.Next(2) == 0 ? "far" : "0.2 in"),
        };
    }

    public static TheoryData<string> Cards() =>
        new(
            Directory
                .GetFiles(Path.Combine(Sample.Demo, "boards"))
                .Where(f => BoardReader.Read(File.ReadAllBytes(f)).Kind == Boards.BoardKind.GraphicsCard)
                .Select(f => Path.GetFileName(f)!)
        );

    /// <summary>What presses the die is said in words until somebody weighs a spring or says that there are none.</summary>
    [Fact]
    public void No_load_is_told_while_nobody_has_looked_at_the_springs()
    {
        var board = Sample.Board();
        var begun = AssumedBlock.For(board, new("new-block", "Quayside", "Weir", BlockKind.FullCover, true));
        string[] Told(Block block)
        {
            var seat = Compute.Seat(board, block, [], Sample.Materials, Sample.Grey);
            return
            [
                seat.Why,
                .. seat.Dies.SelectMany(d => new[] { d.LoadText, d.EdgeText }),
                MountedBow.Compute(LaidBlock.Create(board, block), seat).Text,
            ];
        }
        double RangeK(Block block) =>
            Expect
                .Compute(
                    LaidBlock.Create(
                        board,
                        block with
                        {
                            Flow = new(0.03, 0.06, 0.8, "L/min", []),
                            ColdPlate = new("copper", 3, 90, 0),
                        }
                    ),
                    [],
                    Sample.Materials,
                    Sample.Grey,
                    new(null, 30, 3)
                )
                .Parts.Single(p => board.FindPart(p.Part)!.Kind == Boards.PartKind.Die)
                .RangeK;
        var waiting = BlockReader.Read(DocumentWriter.Write(begun));
        Assert.All(Told(waiting), t => Assert.Contains("not known", t, StringComparison.Ordinal));
        // nor by how much to turn at a time
        Assert.Contains(
            "S1",
            Assert
                .Throws<InputException>(() => Compute.Tighten(board, waiting, [], Sample.Materials, Sample.Grey))
                .Message,
            StringComparison.Ordinal
        );
        var weighed = begun with
        {
            Plates =
            [
                .. begun.Plates.Select(p =>
                    p with
                    {
                        Holes = [.. p.Holes.Select(h => h with { SpringUnknown = false, Spring = new(4, 3) })],
                    }
                ),
            ],
        };
        Assert.All(Told(weighed), t => Assert.DoesNotContain("not known", t, StringComparison.Ordinal));
        Assert.NotEmpty(Compute.Tighten(board, weighed, [], Sample.Materials, Sample.Grey).Moves);
        // what is expected keeps a range that holds every film it may have
        Assert.True(RangeK(waiting) > 2 * RangeK(weighed), $"{RangeK(waiting):0.0} beside {RangeK(weighed):0.0} K");
    }

    [Fact]
    public void Parts_taken_over_from_a_like_board_keep_every_verdict_waiting_until_somebody_looks()
    {
        var block = BlockReader.Read(
            File.ReadAllBytes(Path.Combine(Sample.Demo, "blocks/brineworks-full-460.block.json"))
        );
        var taken = JsonNode.Parse(Tern)!;
        taken["parts"]![1]!["evidence"] = "assumed";
        var board = BoardReader.Read(Encoding.UTF8.GetBytes(taken.ToJsonString()));
        Assert.Contains("\"assumed\"", Encoding.UTF8.GetString(DocumentWriter.Write(board)), StringComparison.Ordinal);
        var fit = Fit.Judge(board, block);
        Assert.Equal((Verdict.Unproven, "assumed-parts"), (fit.Verdict, fit.Reasons[0].Code));
        Assert.Equal([(string)taken["parts"]![1]!["id"]!], fit.Reasons[0].Refs);
        taken["parts"]![1]!["evidence"] = "measured";
        Assert.Equal(
            Verdict.Seats,
            Fit.Judge(BoardReader.Read(Encoding.UTF8.GetBytes(taken.ToJsonString())), block).Verdict
        );
    }

    [Theory]
    [MemberData(nameof(Cards))]
    public void A_block_begun_from_a_board_covers_what_is_hot_and_waits_until_somebody_looks(string file)
    {
        var board = BoardReader.Read(File.ReadAllBytes(Path.Combine(Sample.Demo, "boards", file)));
        var begun = AssumedBlock.For(board, new("new-block", "Quayside", "Weir", BlockKind.FullCover, true));
        var block = BlockReader.Read(DocumentWriter.Write(begun));
        var fit = Fit.Judge(board, block);
        Assert.Equal(Verdict.Unproven, fit.Verdict);
        Assert.Equal("assumed-block", fit.Reasons[0].Code);
        Assert.Contains(fit.Reasons, r => r.Code == "measure-next");
        Assert.Contains(fit.Reasons, r => r.Code == "springs-unknown");
        Assert.DoesNotContain(fit.Uncovered, u => board.FindPart(u)!.Face == Boards.Face.Front);
        Assert.Empty(fit.Clashes);
        // everything looked at and found as assumed: a drawn board is no longer in doubt
        var seen = block with
        {
            Plates =
            [
                .. block.Plates.Select(p =>
                    p with
                    {
                        Lands = [.. p.Lands.Select(l => l with { Evidence = FigureGrade.Measured, StepTolMm = 0.09 })],
                        Holes = [.. p.Holes.Select(h => h with { Evidence = FigureGrade.Measured })],
                    }
                ),
            ],
        };
        if (board.PositionSigmaMm == 0)
            Assert.True(Fit.Judge(board, seen).Verdict <= Verdict.SeatsWithWork, Fit.Judge(board, seen).Summary);
    }

    /// <summary>The true block's drawing, turned, moved and seen from below, brings the assumed lands to their true places.</summary>
    [Theory]
    [InlineData(0, false)]
    [InlineData(137, false)]
    [InlineData(-20, true)]
    public void A_drawn_underside_is_laid_by_its_screw_holes(double turnDeg, bool fromBelow)
    {
        var truth = BlockReader.Read(
            File.ReadAllBytes(Path.Combine(Sample.Demo, "blocks/brineworks-full-460.block.json"))
        );
        var layout = LayoutReader.Read([new("underside.dxf", Encoding.UTF8.GetBytes(DrawingWriter.Dxf(truth)))]);
        Point2 Drawn(Point2 p) =>
            (fromBelow ? p with { X = -p.X } : p).Turned(turnDeg * Math.PI / 180) + new Point2(300, -40);
        Polygon Shape(Polygon p) => new([.. p.Points.Select(Drawn)]);
        var begun = AssumedBlock.For(Board(JsonNode.Parse(Tern)!), new("x", "Q", "W", BlockKind.FullCover, false));
        var laid = Underside.Lay(
            begun.Plates[0],
            new(
                [.. layout.Holes.Select(h => Drawn(new(h.X, h.Y))), new(999, 999)],
                [.. layout.Parts.Select(p => Shape(p.Outline!))],
                Shape(layout.Outline!)
            )
        );
        Assert.Equal(fromBelow, laid.Mirrored);
        Assert.InRange(laid.WorstMm, 0, 0.01);
        Assert.Equal(truth.Plates[0].Outline.Area, laid.Outline!.Area, 0);
        var stage = truth.Plates[0].Lands.Single(l => l.Id == "L-stage").Outline;
        var own = Assert.Single(laid.Lands["L-Q1-Q8"]);
        Assert.Equal(stage.Area, own.Area, 1);
        Assert.True((stage.Centroid - own.Centroid).Length < 0.02);
        Assert.Contains(
            laid.Told,
            t =>
                t.StartsWith(
                    $"{layout.Holes.Count + 1 - begun.Plates[0].Holes.Count} holes are",
                    StringComparison.Ordinal
                )
        );
        var document = JsonNode.Parse(DocumentWriter.Write(begun))!;
        var edited = DocumentEditor.Apply(document, UndersideEdits.For(document, begun.Plates[0], laid));
        var block = BlockReader.Read(Encoding.UTF8.GetBytes(edited.Document.ToJsonString()));
        // two memory chips were taken for one land; the block has one over each
        Assert.Equal(
            truth.Plates[0].Lands.Count(l => l.For == Boards.PartKind.Memory),
            block.Plates[0].Lands.Count(l => l.For == Boards.PartKind.Memory)
        );
        Assert.All(block.Plates[0].Holes, h => Assert.Equal(FigureGrade.Manual, h.Evidence));

        var other = Assert.Throws<InputException>(() =>
            Underside.Lay(begun.Plates[0], new([new(0, 0), new(7, 1), new(3, 5)], [], null))
        );
        Assert.Contains("do not lie as the block's", other.Message, StringComparison.Ordinal);
    }
}
