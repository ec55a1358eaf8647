using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Back;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What is kept, when it is due again, and the whole way back to stock, step by step.</summary>
public class CareStepsTests
{
    private static readonly Board Card = Sample.Board() with
    {
        Assembly = new()
        {
            Pieces = [new("cooler", "cooler", Face.Front), new("plate", "back plate", Face.Back)],
            Fasteners =
            [
                Screws("F1", 4, 5, Face.Back, "cooler", "board"),
                Screws("F2", 1, null, Face.Back, "plate", "board"),
            ],
            Leads = [new("W1", "fan", ["cooler", "board"], "squeeze", 90, Face.Front) { At = new(30, 12) }],
            Bonds = [new("B1", ["cooler", "board"], BondKind.Pads, 1.5, ["M1", "M2"], false)],
        },
    };

    private static FastenerGroup Screws(string id, int count, double? length, Face face, params string[] joins) =>
        new()
        {
            Id = id,
            Driver = "T6",
            Thread = "M2.5",
            LengthMm = length,
            Count = count,
            Face = face,
            Joins = joins,
            Holes = id == "F1" ? ["H1", "H2", "H3", "H4"] : [],
        };

    private static JobPlan Plan(Board? card = null, Func<JobContext, JobContext>? with = null)
    {
        var job = new JobContext
        {
            Order = WorkOrder.Plain(card ?? Card, Sample.Block()),
            Drawer = new() { Materials = [Sample.Soft], Pastes = [new("t", Sample.Grey, 5, 18)] },
        };
        var asked = with?.Invoke(job) ?? job;
        var plan = JobPlanner.Plan(asked);
        Assert.Empty(plan.Troubles);
        return BackPlan.Onto(asked.Order, plan, asked.AsFound);
    }

    private static WorkStep Back(JobPlan plan, string target) =>
        plan.Care.Restore.Single(s => s.Id.Target == "restore-" + target);

    [Fact]
    public void The_way_back_is_power_block_cleaning_pads_paste_then_the_strip_down_backwards()
    {
        var plan = Plan();
        var down = plan.Teardown.Boards[0].Plan.Steps.Select(s => s.Target).ToList();
        Assert.Equal(
            [
                "power",
                "drain",
                "block",
                "clean",
                // pads and paste right before the piece that they lie under
                .. down.AsEnumerable()
                    .Reverse()
                    .SelectMany(t => t == "cooler" ? ["pads", "paste", $"back-{t}"] : new[] { $"back-{t}" }),
                "pack",
                "run",
            ],
            plan.Care.Restore.Select(s => s.Id.Target["restore-".Length..])
        );
        Assert.All(plan.Care.Restore, s => Assert.Equal(Station.Care, s.Id.Station));
    }

    [Fact]
    public void The_block_comes_off_with_all_its_screws_counted()
    {
        var off = Back(Plan(), "block");
        Assert.Equal((4, CountOf.Screws, Pair.FirstKey), (off.Count, off.Counted, off.Pair));
        Assert.StartsWith("Take the block off: 4 screws", off.Title, StringComparison.Ordinal);
        Assert.Contains("never lever", off.Caution, StringComparison.Ordinal);
    }

    [Fact]
    public void Screws_go_back_out_of_their_cell_with_their_driver_and_no_longer_one()
    {
        var plan = Plan();
        var cell = plan.Teardown.Boards[0].Plan.Tray.Single(c => c.Fasteners.Contains("F1")).Cell;
        var four = Back(plan, "back-F1");
        Assert.Equal($"Put 4 screws of group F1 back, out of cell {cell}", four.Title);
        Assert.Equal((StepKind.Fasten, 4, CountOf.Screws, "T6"), (four.Kind, four.Count, four.Counted, four.Driver));
        Assert.Contains("5 mm: no longer one goes in here", four.Detail, StringComparison.Ordinal);
        Assert.NotNull(four.Caution);
        Assert.Equal([new Fact("4", "screws"), new Fact(cell, "tray cell")], four.Facts.Skip(1));
        Assert.Equal(Card.Holes.Select(h => h.At), four.Places);
        // one screw of no stated length
        var one = Back(plan, "back-F2");
        Assert.StartsWith("Put 1 screw of group F2", one.Title, StringComparison.Ordinal);
        Assert.DoesNotContain("longer", one.Detail, StringComparison.Ordinal);
        Assert.Null(one.Caution);
    }

    [Fact]
    public void A_lead_is_plugged_where_it_was_and_a_piece_is_set_back()
    {
        var plan = Plan();
        var lead = Back(plan, "back-W1");
        Assert.Equal((StepKind.Connect, "Plug the fan lead in"), (lead.Kind, lead.Title));
        Assert.Equal([new(30, 12)], lead.Places);
        Assert.Equal(((int?)null, 0), (lead.Count, lead.Facts.Count));
        var piece = Back(plan, "back-cooler");
        Assert.Equal((StepKind.Fit, "Set the cooler back"), (piece.Kind, piece.Title));
        Assert.Empty(piece.Places);
    }

    [Fact]
    public void Stock_pads_go_back_as_they_were_found_and_else_as_the_document_says()
    {
        var plain = Back(Plan(), "pads");
        Assert.StartsWith("Cut and lay 2 new pads under the cooler", plain.Title, StringComparison.Ordinal);
        Assert.StartsWith("1.5 mm on M1, M2. ", plain.Detail, StringComparison.Ordinal);
        Assert.Equal(["M1", "M2"], plain.Targets);
        var found = Back(Plan(with: j => j with { AsFound = [new AsFoundPad("M2", 1.25, 1.1, 0)] }), "pads");
        Assert.StartsWith("1.5 mm on M1. 1.25 mm on M2. ", found.Detail, StringComparison.Ordinal);
        var both = Plan(with: j =>
            j with
            {
                AsFound = [new AsFoundPad("M1", 1.25, 1.1, 0), new AsFoundPad("M2", 1.25, 1.1, 0)],
            }
        );
        Assert.StartsWith("1.25 mm on M1, M2. ", Back(both, "pads").Detail, StringComparison.Ordinal);
        Assert.Contains("film left on a pad", Back(both, "pads").Caution, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_pads_in_the_assembly_none_are_laid_and_the_die_gets_its_paste()
    {
        var plan = Plan(Card with { Assembly = Card.Assembly! with { Bonds = [] } });
        Assert.DoesNotContain(plan.Care.Restore, s => s.Id.Target == "restore-pads");
        Assert.Equal(["U1"], Back(plan, "paste").Targets);
    }

    [Fact]
    public void A_board_that_nobody_described_has_no_way_back() => Assert.Empty(Plan(Sample.Board()).Care.Restore);

    [Theory]
    [InlineData(24, 18)]
    [InlineData(12, 12)]
    public void It_is_due_by_the_pastes_kind_but_never_later_than_the_shop_says(int cap, int months)
    {
        var plan = Plan(with: j => j with { Shop = j.Shop with { RepasteCapMonths = cap } });
        Assert.Equal(months, plan.Care.RepasteMonths);
        Assert.Equal($"repaste in {months} months or by drift", plan.Care.Sheet.Summary);
        Assert.Contains(
            $"{months} months",
            plan.Find(new(Station.Care, null, "date"))!.Title,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void What_was_used_is_counted_by_thickness_and_material()
    {
        var used = Plan().Find(new(Station.Care, null, "offcuts"))!.Detail!;
        Assert.StartsWith("Used: 2 × 1.0 mm soft, ", used, StringComparison.Ordinal);
        Assert.EndsWith(" g paste.", used, StringComparison.Ordinal);
        Assert.DoesNotContain("coat-note", Plan().Care.Sheet.Steps.Select(s => s.Id.Target));
    }

    [Fact]
    public void What_returns_and_what_stays_is_not_stored()
    {
        Assert.Equal(
            "Needed to put the card back for a warranty claim. Its pads are replaced when it goes back.",
            Plan().Care.Kept
        );
        var again = Card with
        {
            Assembly = Card.Assembly! with
            {
                Pieces =
                [
                    Card.Assembly.Pieces[0],
                    Card.Assembly.Pieces[1] with
                    {
                        Returns = true,
                    },
                    new("shield", "shield", Face.Front) { Stays = true },
                ],
            },
        };
        var plan = Plan(again);
        Assert.Contains("Fitted again, not to be stored: back plate.", plan.Care.Kept, StringComparison.Ordinal);
        Assert.Contains("Never came off: shield.", plan.Care.Kept, StringComparison.Ordinal);
        // what was fitted again over the block comes off before it
        var targets = plan.Care.Restore.Select(s => s.Id.Target).ToList();
        Assert.True(targets.IndexOf("restore-off-plate") is > 0 and var off && off < targets.IndexOf("restore-block"));
        var screw = Back(plan, "off-F2");
        Assert.Equal((StepKind.Unscrew, 1, CountOf.Screws), (screw.Kind, screw.Count, screw.Counted));
        Assert.Contains("Take out 1 screw, group F2", screw.Title, StringComparison.Ordinal);
    }

    [Fact]
    public void The_first_figure_of_the_proof_stands_at_the_last_step_back()
    {
        Assert.Equal("Same load, same room.", Back(Plan(), "run").Detail);
        var proved = Plan(with: j =>
            j with
            {
                Readings =
                [
                    new(Prove.Phase.Before, 21, null, 81, null, null, 240, null, null),
                    new(Prove.Phase.After, 21, 30, 52, null, null, 240, 3, null),
                ],
            }
        );
        Assert.Equal(proved.Prove.First!.Why[0], Back(proved, "run").Detail);
    }

    private static JobPlan Plan(WorkOrder order)
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = order,
                Drawer = new() { Materials = [Sample.Soft], Pastes = [new("t", Sample.Grey, 5, 18)] },
            }
        );
        Assert.Empty(plan.Troubles);
        return BackPlan.Onto(order, plan, []);
    }

    [Fact]
    public void Boards_and_blocks_come_off_and_go_back_in_the_reverse_of_their_order()
    {
        var plan = Plan(
            new WorkOrder
            {
                Pieces = [new("A", Card), new("B", Card)],
                Pairs = [new("P", Sample.Block()), new("Q", Sample.Block(), "B")],
            }
        );
        Assert.False(plan.Care.Sheet.Trouble);
        Assert.Equal(["Q", null], plan.Care.Restore.Where(s => s.Id.Target == "restore-block").Select(s => s.Id.Scope));
        var back = plan.Care.Restore.Where(s => s.Id.Target == "restore-paste").ToList();
        Assert.Equal(["B", "A"], back.Select(s => s.Board));
        Assert.Equal("Paste on the die, spread to full cover on board B", back[0].Title);
        // pads noted without a board were found on the first
        Assert.Equal(2, plan.Care.Restore.Count(s => s.Id.Target == "restore-pads"));
        Assert.Equal(6, plan.Care.Restore.Count(s => s.Counted == CountOf.Screws));
        Assert.All(
            plan.Care.Restore.Where(s => s.Kind != StepKind.Fasten && s.Pair is null),
            s => Assert.Null(s.Counted)
        );
    }

    [Fact]
    public void What_was_fitted_over_the_block_comes_off_from_the_top_down()
    {
        var again = Card with
        {
            Assembly = Card.Assembly! with
            {
                Pieces = [Card.Assembly.Pieces[0], Card.Assembly.Pieces[1] with { Returns = true }],
            },
        };
        var plan = Plan(again);
        var fitted = plan
            .Mount.Sheet.Steps.Select(s => s.Id.Target)
            .Where(t => t.StartsWith("again-", StringComparison.Ordinal));
        var off = plan
            .Care.Restore.Select(s => s.Id.Target)
            .Where(t => t.StartsWith("restore-off-", StringComparison.Ordinal));
        Assert.Equal(fitted.Reverse().Select(t => t["again-".Length..]), off.Select(t => t["restore-off-".Length..]));
        var piece = Back(plan, "off-plate");
        Assert.Equal(
            (StepKind.Lift, "Take the back plate off", (int?)null, (CountOf?)null),
            (piece.Kind, piece.Title, piece.Count, piece.Counted)
        );
    }

    [Fact]
    public void The_screws_of_all_plates_are_counted_and_a_block_without_any_is_let_loose_evenly()
    {
        var block = Sample.Block();
        var two = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Holes = [.. block.Plates[0].Holes.Take(3)],
                },
                block.Plates[0] with
                {
                    Id = "second",
                    Holes = [.. block.Plates[0].Holes.Skip(3)],
                },
            ],
        };
        Assert.Equal(4, Back(Plan(WorkOrder.Plain(Card, two)), "block").Count);
        var clipped = block with { Plates = [block.Plates[0] with { Holes = [] }] };
        var loose = WorkOrder.Plain(Card, clipped);
        var off = Back(BackPlan.Onto(loose, JobPlanner.Plan(new() { Order = loose }), []), "block");
        Assert.Equal("Take the block off: what holds it let loose evenly, in a cross", off.Title);
        Assert.Equal(((int?)null, (CountOf?)null), (off.Count, off.Counted));
    }

    [Fact]
    public void The_way_back_begins_where_the_job_stands()
    {
        var order = WorkOrder.Plain(Card, Sample.Block());
        var plan = Plan();
        Assert.Empty(BackPlan.Onto(order, plan, [], new HashSet<StepId>()).Care.Restore);
        var lifted = plan.Steps.TakeWhile(s => s.Station <= Station.Teardown).Select(s => s.Id).ToHashSet();
        var targets = BackPlan.Onto(order, plan, [], lifted).Care.Restore.Select(s => s.Id.Target).ToList();
        Assert.DoesNotContain("restore-drain", targets);
        Assert.DoesNotContain("restore-block", targets);
        Assert.Contains("restore-back-cooler", targets);
    }

    [Fact]
    public void A_strip_down_for_its_own_sake_goes_back_on_clean_faces_without_a_block()
    {
        var targets = Plan(new WorkOrder { Pieces = [new("A", Card)] }).Care.Restore.Select(s => s.Id.Target).ToList();
        Assert.Contains("restore-clean", targets);
        Assert.DoesNotContain("restore-drain", targets);
        Assert.DoesNotContain("restore-block", targets);
        Assert.Contains("restore-back-cooler", targets);
    }

    [Fact]
    public void Stock_pads_that_are_used_again_stay_with_their_plate()
    {
        var plan = Plan(with: j => j with { Ways = new Dictionary<string, string> { ["stock-pads"] = "reuse" } });
        Assert.EndsWith("The back plate's pads stay with it, undisturbed.", plan.Care.Kept, StringComparison.Ordinal);
    }
}
