using CsCheck;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Back;
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
        var asked = Compute.Job(Bare with { Assembly = assembly }) with { TeardownOrder = record };
        var job = BackPlan.Onto(asked.Order, JobPlanner.Plan(asked), []).Care;
        Assert.Equal(
            record.AsEnumerable().Reverse().Select(t => $"restore-back-{t}"),
            job.Restore.Select(s => s.Id.Target).Where(i => i.StartsWith("restore-back-", StringComparison.Ordinal))
        );
        Assert.Contains(
            job.Restore,
            s => s.Count == 4 && s.Title.ToString().Contains("cell", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Advice_knows_where_the_leads_leave()
    {
        var (assembly, _) = Strip();
        var lift = TeardownPlanner.Plan(Bare with { Assembly = assembly }).Steps.Single(s => s.Target == "cooler");
        Assert.Contains(lift.Advice, a => a.ToString().Contains("left edge", StringComparison.Ordinal));
        Assert.Contains(lift.Advice, a => a.ToString().Contains("30 mm of slack", StringComparison.Ordinal));
        var edged = Sample.Board(more: Sample.Part("C9", PartKind.Capacitor, 57, 10, 3, 3, 1)) with
        {
            Assembly = assembly,
        };
        Assert.Contains(
            TeardownPlanner.Plan(edged).Steps.Single(s => s.Target == "cooler").Advice,
            a => a.ToString().Contains("No lever at the right edge: C9", StringComparison.Ordinal)
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

    private static (Assembly Assembly, string Target) Note(
        StripNote note,
        Assembly? before = null,
        params string[] lifted
    ) => StripRecord.Note(Bare, before ?? new(), lifted, note);

    [Fact]
    public void A_group_is_noted_with_all_that_was_said_of_it()
    {
        var (assembly, id) = Note(Screws("cooler", new Point2(50, 40), new Point2(-50, 40)) with { Driver = " PH1 " });
        var group = Assert.Single(assembly.Fasteners);
        Assert.Equal(
            ("F1", "F1", "PH1", "M2.5", 5.0, 2),
            (id, group.Id, group.Driver, group.Thread, group.LengthMm!.Value, group.Count)
        );
        Assert.Equal(["cooler", "board"], group.Joins);
        Assert.Equal([new(50, 40), new(-50, 40)], group.Places);
        Assert.Equal(
            (Face.Back, (string?)null, (string?)null, false),
            (group.Face, group.Ring, group.HiddenBy, group.SpringLoaded)
        );
        Assert.Empty(group.Holes);
        // the piece it held is known from then on, by its id, and is not noted twice
        var piece = Assert.Single(assembly.Pieces);
        Assert.Equal(("cooler", "cooler", Face.Back), (piece.Id, piece.Name, piece.Face));
        var (again, next) = Note(Screws("cooler", new Point2(0, 45)), assembly);
        Assert.Equal(("F2", 1, 2), (next, again.Pieces.Count, again.Fasteners.Count));
        // a name that is taken by anything is not given again
        var taken = new Assembly { Pieces = [new("F1", "F1", Face.Front)] };
        Assert.Equal("F2", Note(Screws("cooler", new Point2(0, 45)), taken).Target);
    }

    [Fact]
    public void Screws_sit_in_holes_within_a_millimetre_and_four_in_retention_holes_are_the_ring()
    {
        FastenerGroup Group(params Point2[] places) => Assert.Single(Note(Screws("cooler", places)).Assembly.Fasteners);
        Assert.Equal(["H1"], Group(new Point2(-29, -27.9)).Holes);
        Assert.Equal("retention", Group(new Point2(-29, -27.9)).Ring);
        Assert.Empty(Group(new Point2(-29, -27.7)).Holes);
        // one beside the ring's holes: no ring
        var mixed = Group(new Point2(-29, -29), new Point2(0, 45));
        Assert.Equal(("H1", (string?)null), (Assert.Single(mixed.Holes), mixed.Ring));
        // holes of another use: no ring either
        var board = Bare with
        {
            Holes = [new("X1", 0, 45, 2.8, HoleRole.Perimeter), .. Bare.Holes],
        };
        var other = StripRecord.Note(board, new(), [], Screws("cooler", new Point2(0, 45))).Assembly.Fasteners[0];
        Assert.Equal(("X1", (string?)null), (Assert.Single(other.Holes), other.Ring));
    }

    [Fact]
    public void A_lead_without_a_name_is_called_by_its_letter()
    {
        var (assembly, id) = Note(new(TeardownAction.Unplug, "cooler", Face.Front));
        var lead = Assert.Single(assembly.Leads);
        Assert.Equal(("W1", "W1", "W1", "straight"), (id, lead.Id, lead.Name, lead.Latch));
        Assert.Equal(["cooler", "board"], lead.Between);
        // a name given to a lead is not the piece's
        var named = Note(new(TeardownAction.Unplug, "cooler", Face.Front) { Name = "fan", Latch = "squeeze" }).Assembly;
        Assert.Equal(("fan", "squeeze", "cooler"), (named.Leads[0].Name, named.Leads[0].Latch, named.Pieces[0].Name));
    }

    [Fact]
    public void A_lift_names_the_piece_and_what_lay_over_it_comes_before()
    {
        var known = new Assembly { Pieces = [new("cover", "cover", Face.Back), new("cooler", "cooler", Face.Back)] };
        var (assembly, id) = Note(
            new(TeardownAction.Lift, "cooler", Face.Front) { Name = "fins", Bond = BondKind.Pads },
            known,
            "cover"
        );
        Assert.Equal("cooler", id);
        Assert.Equal(("fins", Face.Front), (assembly.Pieces[1].Name, assembly.Pieces[1].Face));
        Assert.Equal(("cover", Face.Back), (assembly.Pieces[0].Name, assembly.Pieces[0].Face));
        Assert.Equal([new Precedence("cover", "cooler")], assembly.After);
        var bond = Assert.Single(assembly.Bonds);
        Assert.Equal(("B1", BondKind.Pads), (bond.Id, bond.Kind));
        // said once, it is not said again; without a name it keeps the one it has; without a bond none is made
        var again = Note(new(TeardownAction.Lift, "cooler", Face.Back), assembly, "cover").Assembly;
        Assert.Single(again.After);
        Assert.Single(again.Bonds);
        Assert.Equal(("fins", Face.Back), (again.Pieces[1].Name, again.Pieces[1].Face));
        Assert.Empty(Note(new(TeardownAction.Lift, "cooler", Face.Front), known).Assembly.After);
        // a piece first met when it is lifted
        Assert.Equal(
            "grille",
            Note(new(TeardownAction.Lift, "p9", Face.Front) { Name = "grille" }).Assembly.Pieces[0].Name
        );
    }

    [Fact]
    public void What_is_signed_as_lifted_lies_no_longer_over_anything()
    {
        var (assembly, _) = Strip();
        var order = WorkOrder.Plain(Bare with { Assembly = assembly });
        StepId Down(string target, string? scope = null) => new(Station.Teardown, scope, target);
        FastenerGroup Found(params StepId[] signed) =>
            StripRecord.Note(order, signed.ToHashSet(), Screws("cooler", new Point2(0, 45))).Assembly.Fasteners[^1];
        Assert.Equal("cover", Found(Down("F1"), Down("cover")).HiddenBy);
        Assert.Null(Found(Down("F1")).HiddenBy);
        Assert.Null(Found(Down("cover", "B")).HiddenBy);
        Assert.Null(Found(new StepId(Station.Mount, null, "cover")).HiddenBy);
    }

    [Fact]
    public void A_record_is_the_cards_where_it_has_one_and_else_the_first_boards()
    {
        var own = new Assembly { Pieces = [new("own", "own", Face.Front)] };
        var whole = new Assembly { Pieces = [new("whole", "whole", Face.Front)] };
        var order = new WorkOrder { Pieces = [new("A", Bare with { Assembly = own }), new("B", Bare)] };
        Assert.Same(own, StripRecord.Begun(order));
        Assert.Same(whole, StripRecord.Begun(order with { Assembly = whole }));
        Assert.Empty(StripRecord.Begun(new() { Pieces = [new("A", Bare)] }).Pieces);
        var with = StripRecord.With(order, whole);
        Assert.Same(whole, with.First.Board.Assembly);
        Assert.Null(with.Assembly);
        Assert.Equal(["A", "B"], with.Pieces.Select(p => p.Key));
        Assert.Null(with.Pieces[1].Board.Assembly);
        var card = StripRecord.With(order with { Assembly = own }, whole);
        Assert.Same(whole, card.Assembly);
        Assert.Same(own, card.First.Board.Assembly);
    }

    [Theory]
    [InlineData("F1 F2 F3 a b", null)]
    [InlineData("F1 F3 F2 a b", "The die ring F3 comes after its peer F2 on the same piece.")]
    [InlineData("F1 F2 F3 b a", "b comes after a.")]
    [InlineData("F1 F2 a F3 b", "1 screw of group F3 still holds the a.")]
    [InlineData("F1 F2 F3 F3 b", "Name each of the 5 screw groups, leads and pieces once.")]
    [InlineData("F1 F2 F3 a c", "Name each of the 5 screw groups, leads and pieces once.")]
    public void Why_an_order_can_not_be_is_said(string order, string? reason)
    {
        FastenerGroup Group(string id, string piece) =>
            new()
            {
                Id = id,
                Driver = "T6",
                Count = 1,
                Face = Face.Back,
                Joins = [piece, "board"],
            };
        var assembly = new Assembly
        {
            Pieces = [new("a", "a", Face.Front), new("b", "b", Face.Front)],
            Fasteners = [Group("F1", "b"), Group("F2", "a"), Group("F3", "a") with { Ring = "retention" }],
            After = [new("a", "b")],
        };
        Assert.Equal(reason, ChosenOrder.WhyNot(assembly, order.Split(' ')));
        // an order that cannot be is not taken
        var plan = TeardownPlanner.Plan(Bare with { Assembly = assembly }, order.Split(' '));
        Assert.Equal(reason is not null, plan.Proven);
    }

    [Fact]
    public void A_hidden_lead_waits_for_its_cover()
    {
        var assembly = new Assembly
        {
            Pieces = [new("a", "a", Face.Front), new("b", "b", Face.Front)],
            Leads = [new("W", "fan", ["b", "board"], "squeeze", 60, Face.Front, "a")],
        };
        Assert.Equal("a hides the lead W: it has to be gone first.", ChosenOrder.WhyNot(assembly, ["W", "a", "b"]));
    }
}
