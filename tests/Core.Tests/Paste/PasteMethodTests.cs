using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Plans;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class PasteMethodTests
{
    private static readonly PasteMaterial Liquid = new("quick", 8, 0.1, 6.4) { LiquidMetal = true };

    private static Block Plated(string? metal) =>
        Sample.Block() with
        {
            ColdPlate = metal is null ? null : new(metal, 3, null, null),
        };

    [Fact]
    public void Liquid_metal_is_refused_on_aluminium_and_near_bare_parts()
    {
        var die = Sample.Board().FindPart("U1")!;
        Assert.Empty(PasteMethods.LiquidMetal(Sample.Board(), Plated("nickel-plated copper"), die).Refusals);
        Assert.Contains(
            "aluminium",
            PasteMethods.LiquidMetal(Sample.Board(), Plated("aluminium"), die).Refusals[0],
            StringComparison.Ordinal
        );
        var near = Sample.Board(more: Sample.Part("C1", PartKind.Capacitor, 15, 0, 1, 1, 0.5));
        Assert.Contains(
            "C1",
            PasteMethods.LiquidMetal(near, Plated("copper"), die).Refusals[0],
            StringComparison.Ordinal
        );
        var far = Sample.Board(more: Sample.Part("C1", PartKind.Capacitor, 25, 0, 1, 1, 0.5));
        Assert.Empty(PasteMethods.LiquidMetal(far, Plated("copper"), die).Refusals);
        Assert.Contains(
            PasteMethods.LiquidMetal(far, Plated("copper"), die).Cautions,
            c => c.ToString().Contains("Bare copper", StringComparison.Ordinal)
        );
        Assert.Contains(
            PasteMethods.LiquidMetal(far, Plated(null), die).Cautions,
            c => c.ToString().Contains("not aluminium", StringComparison.Ordinal)
        );
    }

    private static JobPlan Plan(PasteMaterial paste, Dictionary<string, string>? ways = null) =>
        JobPlanner.Plan(
            new()
            {
                Order = WorkOrder.Plain(Sample.Board(), Plated("nickel-plated copper")),
                PasteId = paste.Id,
                Ways = ways ?? [],
                Drawer = new()
                {
                    Materials = [Sample.Soft],
                    Pads = [new("s1", "soft", 1, 100, 100, 1, false)],
                    Pastes = [new("t0", Liquid, 1, 12), new("t", Sample.Grey, 5, 24)],
                },
            }
        );

    [Fact]
    public void Liquid_metal_goes_on_both_faces_by_film()
    {
        var face = Plan(Liquid).Paste.Faces[0];
        // 24 × 22 mm by 30 µm, twice
        Assert.Equal(24 * 22 * 0.03, face.LiquidPerFaceUl!.Value, 6);
        Assert.Equal(2 * 24 * 22 * 0.03 / 1000 * 6.4, face.Amount.MassG, 6);
        Assert.Contains(
            "contact patch",
            Plan(Liquid).Stations[(int)Station.Paste].Steps[0].Title,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Nobody_gets_liquid_metal_without_asking() =>
        Assert.Equal("t", Plan(Sample.Grey with { Id = null }).Paste.Faces[0].PasteId);

    [Theory]
    [InlineData("spread", "Spread")]
    [InlineData("cross", "cross")]
    [InlineData("line", "line")]
    public void The_way_chosen_is_what_the_step_says(string way, string word) =>
        Assert.Contains(
            word,
            Plan(Sample.Grey, new() { ["paste-die"] = way }).Stations[(int)Station.Paste].Steps[0].Title,
            StringComparison.Ordinal
        );

    [Fact]
    public void Every_question_has_its_default_among_its_ways_and_each_way_a_reason()
    {
        foreach (var school in Schools.For(WorkOrder.Plain(Sample.Board())))
        {
            Assert.Contains(school.Ways, w => w.Id == school.Default);
            Assert.All(school.Ways, w => Assert.EndsWith(".", w.Why, StringComparison.Ordinal));
            Assert.True(school.Ways.Count >= 2);
        }
    }

    [Fact]
    public void Ways_change_mounting_and_proof()
    {
        var plain = Plan(Sample.Grey);
        var quarter = Plan(
            Sample.Grey,
            new()
            {
                ["increments"] = "quarter",
                ["imprint"] = "lift",
                ["who-moves"] = "block",
            }
        );
        Assert.All(quarter.Mount.Pairs[0].Tightening!.Moves, m => Assert.True(m.Turns <= 0.25 + 1e-9));
        Assert.True(quarter.Mount.Pairs[0].Tightening!.Moves.Count > plain.Mount.Pairs[0].Tightening!.Moves.Count);
        Assert.Contains(
            quarter.Stations[(int)Station.Prove].Steps,
            s => s.Id == new StepId(Station.Prove, null, "imprint")
        );
        Assert.DoesNotContain(
            plain.Stations[(int)Station.Prove].Steps,
            s => s.Id == new StepId(Station.Prove, null, "imprint")
        );
        Assert.Contains(
            "Lower the block",
            quarter.Stations[(int)Station.Mount].Steps[0].Title,
            StringComparison.Ordinal
        );
    }
}
