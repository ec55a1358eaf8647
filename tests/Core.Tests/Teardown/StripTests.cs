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
