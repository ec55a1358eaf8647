using FaithfulBracket.Core.Materials;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What lies in the drawer: what runs short, which paste is taken, and a pad as the shop calculates with it.</summary>
public class DrawerTests
{
    private static readonly PasteMaterial Metal = new("metal", 8, 0.1, 6.4) { LiquidMetal = true };

    private static PasteStock Tube(string id, PasteMaterial material, double grams = 5) => new(id, material, grams, 24);

    [Fact]
    public void What_is_under_its_mark_runs_short_and_what_is_at_it_does_not()
    {
        var drawer = new Drawer
        {
            Consumables =
            [
                new("a", "alcohol", 49.9, "mL", 50, null),
                new("b", "cloths", 20, "pieces", 20, null),
                new("c", "swabs", 0, "pieces", 0, null),
            ],
            Pastes =
            [
                Tube("t1", Sample.Grey, 0.94),
                Tube("t2", Sample.Grey with { Id = null }, 0.5),
                Tube("t3", Sample.Grey, Drawer.LowTubeG),
            ],
        };
        Assert.Equal(["alcohol: 49.9 mL", "grey: 0.9 g", "t2: 0.5 g"], drawer.RunsShort());
        Assert.Empty(Drawer.Empty.RunsShort());
    }

    [Fact]
    public void A_paste_is_taken_by_its_tube_or_its_material_else_the_first_that_is_no_metal()
    {
        var drawer = new Drawer
        {
            Pastes = [Tube("t0", Metal), Tube("t1", Sample.Grey), Tube("t2", Sample.Grey with { Id = "white" })],
        };
        Assert.Equal("t2", drawer.PasteOr("white")!.Id);
        Assert.Equal("t2", drawer.PasteOr("t2")!.Id);
        Assert.Equal("t0", drawer.PasteOr("metal")!.Id);
        Assert.Equal("t1", drawer.PasteOr(null)!.Id);
        Assert.Equal("t1", drawer.PasteOr("none such")!.Id);
        Assert.Null(new Drawer { Pastes = [Tube("t0", Metal)] }.PasteOr(null));
    }

    [Fact]
    public void A_tube_without_a_name_of_its_material_is_not_taken_for_nothing_asked() =>
        Assert.Equal(
            "t1",
            new Drawer { Pastes = [Tube("t0", Metal with { Id = null }), Tube("t1", Sample.Grey)] }
                .PasteOr(null)!
                .Id
        );

    [Fact]
    public void What_is_left_in_a_tube_is_so_much_plunger()
    {
        // 2.6 g at 2.6 g/mL is 1 mL: 1,000 mm³ over a bore of 10 mm
        var tube = Tube("t", Sample.Grey, 2.6) with
        {
            BoreMm = 10,
        };
        Assert.Equal(1000 / (Math.PI * 25), tube.PlungerMm, 9);
        Assert.Equal(9.5, Tube("t", Sample.Grey).BoreMm);
    }

    [Fact]
    public void One_material_told_twice_is_the_first()
    {
        var drawer = new Drawer { Materials = [Sample.Soft, Sample.Soft with { SquashMax = 0.9 }] };
        Assert.Equal(0.45, Assert.Single(drawer.MaterialById()).Value.SquashMax);
    }

    [Fact]
    public void The_shops_squash_narrows_a_material_and_never_widens_it()
    {
        // soft works from 0.1 to 0.45
        var narrow = Sample.Soft.Within(0.2, 0.4);
        Assert.Equal((0.2, 0.4), (narrow.SquashMin, narrow.SquashMax));
        var wide = Sample.Soft.Within(0.05, 0.6);
        Assert.Equal((0.1, 0.45), (wide.SquashMin, wide.SquashMax));
    }

    [Fact]
    public void A_measured_figure_goes_before_a_claim_and_a_claim_is_believed_in_part()
    {
        var claimed = Sample.Soft with { ClaimedWPerMK = 10 };
        Assert.Equal(7, claimed.Taken(12, 0.7).ConductivityWPerMK!.Value, 12);
        Assert.Equal(12, claimed.Taken(12, 0.7).ContactMm2KPerW!.Value, 12);
        var measured = claimed with { ConductivityWPerMK = 5, ContactMm2KPerW = 8 };
        Assert.Equal((5, 8), (measured.Taken(12, 0.7).ConductivityWPerMK, measured.Taken(12, 0.7).ContactMm2KPerW));
        Assert.Null(Sample.Soft.Taken(12, 0.7).ConductivityWPerMK);
    }

    [Fact]
    public void While_it_is_mounted_a_pad_pushes_as_fresh_where_that_is_known()
    {
        Assert.Same(Sample.Soft.Curve, Sample.Soft.WhileMounting().Curve);
        var fresh = Sample.Soft with { FreshCurve = [new(0, 0), new(0.5, 1.2)] };
        Assert.Equal(1.2, fresh.WhileMounting().Curve[1].Y);
        Assert.Equal(0.5, fresh.Curve[1].Y);
    }
}
