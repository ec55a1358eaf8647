using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Cutting and laying as steps: films counted, letters said in a run, and what is wrong said first.</summary>
public class PadStepsTests
{
    private static readonly WorkOrder Order = WorkOrder.Plain(Sample.Board(), Sample.Block());

    private static PadPiece Piece(string id, double mm = 1, PartKind kind = PartKind.Memory, params string[] parts) =>
        new(id, parts.Length > 0 ? parts : ["M1"], kind, Face.Front, mm, "soft", 14, 12, false)
        {
            Pair = Pair.FirstKey,
            Board = "A",
        };

    private static PlacedPad Pad(PadState state, double mm = 1) =>
        new(
            "A",
            "M1",
            "L",
            PartKind.Memory,
            Face.Front,
            mm,
            "soft",
            14,
            12,
            new(mm, "soft", 0.2, 0.3, state, 0, "kit") { FillsMinMm = 0.5, FillsMaxMm = 0.9 },
            false,
            false
        )
        {
            Pair = Pair.FirstKey,
            Board = "A",
        };

    private static PairPads Pads(params PlacedPad[] pads) => new(Pair.FirstKey, "A", new(null, []), pads, null);

    private static StationPlan Steps(IReadOnlyList<PadPiece> pieces, Ways? ways = null, CutPlan? cut = null) =>
        PadSteps.Create(Order, [Pads(Pad(PadState.Good))], pieces, cut, ways ?? new());

    private static WorkStep Lay(params string[] letters) => Steps([.. letters.Select(l => Piece(l))]).Steps.Single();

    [Theory]
    [InlineData(new[] { "A" }, ": A")]
    [InlineData(new[] { "A", "B" }, ": A and B")]
    [InlineData(new[] { "C", "A", "B" }, ": A to C")]
    [InlineData(new[] { "A", "B", "D" }, ": A B D")]
    [InlineData(new[] { "Y", "Z", "AA" }, ": Y Z AA")]
    [InlineData(new[] { "A", "C", "E", "G", "I", "K", "M", "O" }, ": A C E G I K M O")]
    [InlineData(new[] { "A", "C", "E", "G", "I", "K", "M", "O", "Q" }, ": A C E G I K M and 2 more")]
    public void Letters_are_said_as_a_run_where_they_are_one(string[] letters, string words) =>
        Assert.EndsWith(words, Lay(letters).Title, StringComparison.Ordinal);

    [Fact]
    public void The_inner_film_of_every_pad_is_counted_as_it_is_laid()
    {
        var step = Lay("A", "B", "C");
        Assert.Equal((3, CountOf.Films), (step.Count, step.Counted));
        Assert.Equal("3 laid, 3 films off", step.Done);
        Assert.Equal([new Fact("1.0 mm", "soft"), new Fact("3", "pieces"), new Fact("3", "films")], step.Facts);
        Assert.Equal("lay-memory-front-1.0-soft", step.Id.Target);
        Assert.StartsWith("Place 3 pads (1.0 mm) on the memory", step.Title, StringComparison.Ordinal);
        Assert.Contains("Count the films", step.Caution, StringComparison.Ordinal);
    }

    [Fact]
    public void A_piece_over_several_parts_is_a_strip()
    {
        var one = Steps([Piece("AB", parts: ["M1", "M2"])]).Steps.Single();
        Assert.StartsWith("Place 1 strip (1.0 mm) on", one.Title, StringComparison.Ordinal);
        Assert.Equal(["M1", "M2"], one.Targets);
        var two = Steps([Piece("AB", parts: ["M1", "M2"]), Piece("C")]).Steps.Single();
        Assert.StartsWith("Place 2 strips (1.0 mm) on", two.Title, StringComparison.Ordinal);
        Assert.StartsWith("Place 1 pad (1.0 mm) on", Lay("A").Title, StringComparison.Ordinal);
    }

    [Fact]
    public void Another_thickness_or_kind_is_a_step_of_its_own()
    {
        var steps = Steps([Piece("A"), Piece("B", 1.5), Piece("C", kind: PartKind.PowerStage), Piece("D")]).Steps;
        Assert.Equal(
            ["lay-memory-front-1.0-soft", "lay-memory-front-1.5-soft", "lay-power-stages-front-1.0-soft"],
            steps.Select(s => s.Id.Target)
        );
        Assert.Equal(["A", "D"], steps[0].Pieces);
        Assert.Contains(
            "on the part",
            Steps([Piece("A", kind: PartKind.Other)]).Steps[0].Title,
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData(PadsOn.ByTack, false, "on the board")]
    [InlineData(PadsOn.ByTack, true, "tacky side to the block")]
    [InlineData(PadsOn.Board, true, "on the board, where its part shows it")]
    [InlineData(PadsOn.Block, false, "on the block, in its pocket")]
    public void Where_a_pad_is_laid_follows_the_shops_way(PadsOn on, bool tackyToBlock, string words)
    {
        var step = Steps([Piece("A") with { OnBlock = tackyToBlock }], new() { PadsOn = on }).Steps[0];
        Assert.EndsWith($", {words}.", step.Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void A_pad_on_an_edge_is_drawn_slowly_once_its_carriers_are_closed()
    {
        List<PadPiece> pieces = [Piece("A") with { Where = "upper edge" }];
        Assert.Empty(Steps(pieces).Steps);
        var step = PadSteps.LaidBehind(Order, Order.Pairs[0], pieces, new()).Single();
        Assert.Equal(Station.Mount, step.Station);
        Assert.Contains("on the upper edge", step.Title, StringComparison.Ordinal);
        Assert.Contains("drawn slowly", step.Detail, StringComparison.Ordinal);
        Assert.Equal("lay-upper-edge-front-1.0-soft", step.Id.Target);
    }

    [Fact]
    public void A_sheet_is_cut_edge_to_edge_and_its_cuts_are_counted()
    {
        CutSheet Sheet(bool offcut) =>
            new(
                "s1",
                offcut,
                50,
                33.5,
                [new("A", 0, 0, 14, 12, false), new("B", 14, 0, 14, 12, false)],
                [new(1, 'y', 12, 0, 50), new(2, 'x', 14, 0, 12), new(3, 'x', 28, 0, 12)],
                []
            );
        var steps = Steps([Piece("A"), Piece("B")], cut: new([Sheet(true), Sheet(false)], [], 1, 0)).Steps;
        Assert.Equal(["cut-1", "cut-2"], steps.Take(2).Select(s => s.Id.Target));
        Assert.Equal(("Cut 2 pieces from offcut s1 (3 cuts)", 1), (steps[0].Title.ToString(), steps[0].Sheet));
        Assert.Equal("Cut 2 pieces from sheet s1 (3 cuts)", steps[1].Title);
        Assert.Equal((3, CountOf.Cuts, "2 pieces cut"), (steps[0].Count, steps[0].Counted, steps[0].Done));
        Assert.StartsWith("50 × 33.5 mm, letters A and B.", steps[0].Detail, StringComparison.Ordinal);
        Assert.Equal(PadSteps.CutStep(2), steps[1].Id);
    }

    private static (string, bool) Summary(CutPlan? cut, params PlacedPad[] pads)
    {
        var plan = PadSteps.Create(Order, [Pads(pads)], [Piece("A")], cut, new());
        return (plan.Summary, plan.Trouble);
    }

    [Fact]
    public void What_is_wrong_is_said_before_how_many_there_are()
    {
        var good = Pad(PadState.Good);
        Assert.Equal(("1 pad, 1.0 mm", false), Summary(null, good));
        Assert.Equal(("3 pads, 1.0 and 1.5 mm", false), Summary(null, Pad(PadState.Good, 1.5), good, good));
        Assert.Equal(("1.5 mm is crushed at A", true), Summary(null, good, Pad(PadState.Crushed, 1.5)));
        Assert.Equal(("0.5 mm barely touches at A", true), Summary(null, good, Pad(PadState.Starved, 0.5)));
        Assert.Equal(("1.0 mm barely touches at A", true), Summary(null, good with { Fit = null }));
        var lacking = new CutPlan([], [new("A", $"no sheet")], 0, 0);
        Assert.Equal(("1 pad lacks a sheet", true), Summary(lacking, good));
        Assert.Equal(("1.5 mm is crushed at A", true), Summary(lacking, Pad(PadState.Crushed, 1.5)));
    }

    [Fact]
    public void Strips_and_floats_are_said_before_pads_that_do_not_fit()
    {
        SeatingResult Rest(bool floats, double pull) =>
            new([], [0, 0], [], [new("S1", pull) { HoldsN = 1000 }], floats, 2.1, $"");
        PairPads Second(SeatingResult rest) => Pads(Pad(PadState.Crushed)) with { Pair = "Q", Seating = rest };
        (string, bool) Said(params PairPads[] pairs)
        {
            var plan = PadSteps.Create(Order, pairs, [Piece("A")], null, new());
            return (plan.Summary, plan.Trouble);
        }
        var good = Pads(Pad(PadState.Good));
        Assert.Equal(("screws of block Q strip", true), Said(good, Second(Rest(true, 1001))));
        Assert.Equal(("block Q floats", true), Said(good, Second(Rest(true, 999))));
        Assert.Equal(("1.0 mm is crushed at A", true), Said(good, Second(Rest(false, 999))));
        Assert.Equal(("screws strip first", true), Said(Second(Rest(true, 1001))));
        Assert.Equal(("the block floats", true), Said(Second(Rest(true, 999))));
    }

    [Fact]
    public void Without_a_block_it_waits_and_without_pads_there_is_nothing_to_do()
    {
        var waits = PadSteps.Create(Order, [], [], null, new());
        Assert.Equal(("waits for a block", true), (waits.Summary, waits.Trouble));
        var none = PadSteps.Create(Order, [Pads()], [], null, new());
        Assert.Equal(("no pads", false, 0), (none.Summary, none.Trouble, none.Steps.Count));
    }

    [Fact]
    public void What_pads_and_seating_come_to_is_said_worst_first()
    {
        SeatingResult Rest(bool floats, double pull) =>
            new([], [0, 0], [], [new("S1", pull) { HoldsN = 1000 }, new("S2", 5000)], floats, 2.1, $"");
        (string, bool) Said(PairPads p) => (p.Verdict, p.Wrong);
        var good = Pads(Pad(PadState.Good));
        Assert.Equal(("Every pad touches", false), Said(good with { Seating = Rest(false, 1000) }));
        Assert.Equal(("Screws strip first", true), Said(good with { Seating = Rest(true, 1001) }));
        Assert.Equal(("The block floats", true), Said(good with { Seating = Rest(true, 900) }));
        Assert.Equal(("1 pad does not fit", true), Said(Pads(Pad(PadState.Good), Pad(PadState.Crushed))));
        Assert.Equal(
            ("2 pads do not fit", true),
            Said(Pads(Pad(PadState.Starved), Pad(PadState.Good) with { Fit = null }))
        );
        Assert.Equal(("No pads", false), Said(Pads()));
        // on the traveller, with no pad to lay as well, and by its letter where there are several blocks
        var strips = good with
        {
            Seating = Rest(false, 1001),
        };
        StationPlan Sheet(params PairPads[] pairs) => PadSteps.Create(Order, pairs, [], null, new());
        Assert.Equal("screws strip first", Sheet(strips).Summary);
        Assert.True(Sheet(strips).Trouble);
        Assert.Equal("screws of block Q strip", Sheet(good, strips with { Pair = "Q" }).Summary);
        Assert.Equal(("no pads", false), (Sheet(good).Summary, Sheet(good).Trouble));
    }
}
