using CsCheck;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prep;
using FaithfulBracket.Core.Teardown;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class StripTests
{
    private static readonly Board Bare = Sample.Board();

    private static StripNote Screws(string holds, params Point2[] places) =>
        new(TeardownAction.Unscrew, holds, Face.Back)
        {
            Driver = "T6",
            Thread = "M2.5",
            LengthMm = 5,
            Places = places,
        };

    /// <summary>A back cover, the cooler under it with its lead, noted in the order it was done.</summary>
    private static (Assembly Assembly, List<string> Record) Strip()
    {
        var (assembly, record, lifted) = (new Assembly(), new List<string>(), new List<string>());
        void Note(StripNote note)
        {
            (assembly, var target) = StripRecord.Note(Bare, assembly, lifted, note);
            record.Add(target);
            if (note.Action == TeardownAction.Lift)
                lifted.Add(target);
        }
        Note(Screws("cover", new(50, 40), new(-50, 40)) with { Driver = "PH1" });
        Note(new(TeardownAction.Lift, "cover", Face.Back) { Name = "back cover", Bond = BondKind.Clips });
        Note(Screws("cooler", Sample.Corners(29)) with { SpringLoaded = true });
        Note(
            new(TeardownAction.Unplug, "cooler", Face.Front)
            {
                Name = "fan",
                Latch = "squeeze",
                SlackMm = 30,
                At = new(55, 0),
            }
        );
        Note(new(TeardownAction.Lift, "cooler", Face.Front) { Name = "fan and fins", Bond = BondKind.Paste });
        return (assembly, record);
    }

    [Fact]
    public void The_record_of_a_strip_is_the_plan_of_the_next()
    {
        var (assembly, record) = Strip();
        Assert.Null(ChosenOrder.WhyNot(assembly, record));
        var plan = TeardownPlanner.Plan(Bare with { Assembly = assembly });
        Assert.Equal(record.Order(), plan.Steps.Select(s => s.Target).Order());
        // what lay under the cover waits for it; four screws in retention holes are the ring
        Assert.Equal("cover", assembly.Fasteners[1].HiddenBy);
        Assert.Equal("retention", assembly.Fasteners[1].Ring);
        Assert.Equal(["H1", "H2", "H3", "H4"], assembly.Fasteners[1].Holes.Order());
        var steps = plan.Steps.Select(s => s.Target).ToList();
        Assert.True(steps.IndexOf("cover") < steps.IndexOf("F2"));
        Assert.True(plan.Flips <= 1);
    }

    [Fact]
    public void The_way_back_is_the_record_backwards()
    {
        var (assembly, record) = Strip();
        var plan = TeardownPlanner.Plan(Bare with { Assembly = assembly }, record);
        Assert.Equal(record, plan.Steps.Select(s => s.Target));
        Assert.Equal(record.AsEnumerable().Reverse(), plan.Restore.Select(r => r.Target));
        var job = JobPlanner.Plan(Reckon.Job(Bare with { Assembly = assembly }) with { TeardownOrder = record }).Care;
        Assert.Equal(
            record.AsEnumerable().Reverse().Select(t => $"restore-back-{t}"),
            job.Restore.Select(s => s.Id.Target).Where(i => i.StartsWith("restore-back-", StringComparison.Ordinal))
        );
        Assert.Contains(job.Restore, s => s.Count == 4 && s.Title.Contains("cell", StringComparison.Ordinal));
    }

    [Fact]
    public void Advice_knows_where_the_leads_leave()
    {
        var (assembly, _) = Strip();
        var lift = TeardownPlanner.Plan(Bare with { Assembly = assembly }).Steps.Single(s => s.Target == "cooler");
        Assert.Contains(lift.Advice, a => a.Contains("left edge", StringComparison.Ordinal));
        Assert.Contains(lift.Advice, a => a.Contains("30 mm of slack", StringComparison.Ordinal));
        var edged = Sample.Board(more: Sample.Part("C9", PartKind.Capacitor, 57, 10, 3, 3, 1)) with
        {
            Assembly = assembly,
        };
        Assert.Contains(
            TeardownPlanner.Plan(edged).Steps.Single(s => s.Target == "cooler").Advice,
            a => a.Contains("No lever at the right edge: C9", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void A_note_without_what_it_needs_is_refused()
    {
        foreach (
            var note in (StripNote[])
                [
                    Screws("board", new Point2(0, 0)),
                    Screws("cooler"),
                    Screws("cooler", new Point2(0, 0)) with
                    {
                        Driver = null,
                    },
                ]
        )
            Assert.Throws<InputException>(() => StripRecord.Note(Bare, new(), [], note));
        Assert.Throws<InputException>(() =>
            StripRecord.Note(Bare, new(), ["cooler"], Screws("cooler", new Point2(0, 0)))
        );
    }

    [Theory]
    [InlineData("F2 F1 cover W1 cooler", "hides group F2")]
    [InlineData("F1 cover F2 cooler W1", "ties the cooler down")]
    [InlineData("F1 cover W1 cooler F2", "4 screws of group F2 still hold the cooler")]
    [InlineData("F1 cover F2 W1", "once")]
    public void An_illegal_order_is_refused_with_its_reason(string order, string reason)
    {
        var (assembly, _) = Strip();
        Assert.Contains(reason, ChosenOrder.WhyNot(assembly, order.Split(' ')), StringComparison.Ordinal);
    }

    [Fact]
    public void A_legal_order_of_ones_own_costs_at_least_as_much_as_the_best()
    {
        var (assembly, record) = Strip();
        var board = Bare with { Assembly = assembly };
        var best = TeardownPlanner.Plan(board);
        Gen.Shuffle(record.ToArray())
            .Sample(
                order =>
                {
                    if (ChosenOrder.WhyNot(assembly, order) is not null)
                        return;
                    var own = TeardownPlanner.Plan(board, order);
                    Assert.Equal(order, own.Steps.Select(s => s.Target));
                    Assert.True((own.Flips, own.DriverChanges).CompareTo((best.Flips, best.DriverChanges)) >= 0);
                },
                iter: 300
            );
    }
}

public class HoleLedgerTests
{
    private static Board WithStock(double length) =>
        Sample.Board() with
        {
            Assembly = new()
            {
                Pieces = [new("cooler", "cooler", Face.Front)],
                Fasteners =
                [
                    new()
                    {
                        Id = "F1",
                        Driver = "T6",
                        Thread = "M2.5",
                        LengthMm = length,
                        Count = 4,
                        Face = Face.Back,
                        Joins = ["cooler", "board"],
                        Holes = ["H1", "H2", "H3", "H4"],
                    },
                ],
            },
        };

    /// <summary>Screws that hold the plate at 2.13 mm, thread 4 mm deep, two of them through a back plate.</summary>
    private static Blocks.Block Block(double kitLength) =>
        Sample.Block() with
        {
            BackPlate = new() { Id = "back", UsesHoles = ["S3", "S4"] },
            Kit = new() { Screws = [new("M2.5", kitLength, 4, "T6", "plastic")] },
            Plates =
            [
                Sample.Block().Plates[0] with
                {
                    Holes =
                    [
                        .. Sample
                            .Block()
                            .Plates[0]
                            .Holes.Select(h =>
                                h with
                                {
                                    Spring = null,
                                    StopMm = 2.13,
                                    EngageMm = 4,
                                    Washer = "plastic",
                                }
                            ),
                    ],
                },
            ],
        };

    private static IReadOnlyList<HoleRow> Rows(double kit, double stock)
    {
        var (b, k) = (WithStock(stock), Block(kit));
        return HoleLedger.Of(b, b.Assembly!.Fasteners, [(k, Fit.Judge(b, k))]);
    }

    [Fact]
    public void Every_hole_is_told_at_every_stage()
    {
        var rows = Rows(6, 5);
        Assert.Equal(4, rows.Count);
        Assert.StartsWith("stock M2.5 × 5", rows[0].Stages[0].What, StringComparison.Ordinal);
        Assert.All(rows, r => Assert.Equal("empty", r.Stages[1].What));
        Assert.Equal(2, rows.Count(r => r.Stages[2].What.Contains("until the back plate", StringComparison.Ordinal)));
        Assert.Equal(2, rows.Count(r => r.Stages[3].What.Contains("through the back plate", StringComparison.Ordinal)));
        Assert.All(rows, r => Assert.Contains("to the board", r.Washer, StringComparison.Ordinal));
        Assert.All(rows, r => Assert.Null(r.Trouble));
    }

    [Fact]
    public void Lengths_are_caught_by_board_gap_and_thread()
    {
        // 1.6 board + 2.13 plate + 4 thread: 7.73 at most; two pitches of 0.45 at least
        Assert.Equal((4.63, 7.73), (Rows(6, 5)[0].ShortestMm, Rows(6, 5)[0].LongestMm));
        Assert.Contains("0.3 mm too long", Rows(8, 5)[0].Trouble, StringComparison.Ordinal);
        Assert.Contains("too little thread", Rows(4.5, 5)[0].Trouble, StringComparison.Ordinal);
        Assert.Contains("stock screw of group F1 is 2.3 mm too long", Rows(6, 10)[0].Trouble, StringComparison.Ordinal);
    }

    [Fact]
    public void The_dry_fit_list_comes_out_of_the_documents()
    {
        var board = Sample.Board(more: Sample.Part("J1", PartKind.Connector, 35, 0, 8, 4, 0.5));
        var wide = Sample.Block() with
        {
            BracketSlots = 1,
            Plates = [Sample.Block().Plates[0] with { Outline = Sample.Rect(0, -10, 90, 90) }],
        };
        var checks = DryFit
            .Of(LaidBlock.Of(board with { Slots = 3 }, wide), Fit.Judge(board, wide))
            .ToDictionary(c => c.Id);
        Assert.Equal(DryFitState.Fine, checks["holes"].State);
        Assert.Equal(DryFitState.Trouble, checks["leads"].State);
        Assert.Contains("J1", checks["leads"].Text, StringComparison.Ordinal);
        Assert.Contains("lower edge by 5 mm", checks["overhang"].Text, StringComparison.Ordinal);
        Assert.Contains("from 3 to 1 slot", checks["bracket"].Text, StringComparison.Ordinal);
    }
}
