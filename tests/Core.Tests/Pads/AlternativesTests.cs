using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class AlternativesTests
{
    private static readonly Dictionary<string, PadMaterial> Materials = new()
    {
        ["soft"] = Sample.Soft with { ConductivityWPerMK = 3 },
        ["good"] = Sample.Soft with { Id = "good", ConductivityWPerMK = 6 },
        ["stiff"] = Sample.Soft with { Id = "stiff", Curve = [new(0, 0), new(0.5, 3)], ConductivityWPerMK = 12 },
    };

    private static IReadOnlyList<Alternative> Ask(params StockedPad[] atHand)
    {
        var board = Sample.Board() with
        {
            Parts = [.. Sample.Board().Parts.Select(p => p.Id == "M1" ? p with { DissipationW = 3 } : p)],
        };
        return Compute.Others(
            board,
            Sample.Block(),
            [new("M1", 1, "soft"), new("M2", 1, "soft")],
            ["M1", "M2"],
            atHand,
            Materials,
            Sample.Grey
        );
    }

    [Fact]
    public void What_floats_comes_last_and_the_cooler_of_those_that_seat_first()
    {
        var ranked = Ask(new(1.5, "stiff"), new(1, "soft"), new(1, "good"));
        Assert.Equal(["good", "soft", "stiff"], ranked.Select(a => a.Material));
        Assert.True(ranked[2].Floats);
        Assert.Contains("floats", ranked[2].Text, StringComparison.Ordinal);
        // the same squash at twice the conductivity is half the rise through the pad; its two faces, 10 mm²·K/W each, stay
        var part = Sample.Board().FindPart("M1")!;
        var faces = 3 * 2 * 10 / part.Top().Area;
        Assert.Equal((ranked[1].PartRiseK!.Value - faces) / 2, ranked[0].PartRiseK!.Value - faces, 6);
    }

    [Fact]
    public void A_pad_too_thin_does_not_touch() =>
        Assert.Equal("does not touch", Ask(new StockedPad(0.5, "soft"))[0].Text);

    [Fact]
    public void Places_without_a_pad_are_refused() =>
        Assert.Throws<InputException>(() =>
            Compute.Others(Sample.Board(), Sample.Block(), [new("M1", 1, "soft")], ["U9"], [], Materials, Sample.Grey)
        );

    private static Block Plain => Sample.Block();

    private static Board Board(double watts, double maxN = 450) =>
        Sample.Board() with
        {
            Parts =
            [
                .. Sample
                    .Board()
                    .Parts.Select(p =>
                        p.Id == "M1" ? p with { DissipationW = watts }
                        : p.Id == "U1" ? p with { MaxLoadN = maxN }
                        : p
                    ),
            ],
        };

    private static IReadOnlyList<Alternative> On(Board board, string[] places, params StockedPad[] atHand) =>
        Compute.Others(
            board,
            Plain,
            [new("M1", 1, "soft"), new("M2", 1, "soft")],
            places,
            atHand,
            Materials,
            Sample.Grey
        );

    [Theory]
    [InlineData(1, "soft")]
    [InlineData(0.9, "good")]
    [InlineData(1.3, "good")]
    [InlineData(1.5, "stiff")]
    [InlineData(0.6, "soft")]
    [InlineData(2.2, "good")]
    public void Each_is_told_as_the_block_rests_on_it(double mm, string material)
    {
        var told = Assert.Single(On(Board(3), ["M1"], new StockedPad(mm, material)));
        var seated = Compute.Seat(
            Board(3),
            Plain,
            [new("M1", mm, material), new("M2", 1, "soft")],
            Materials,
            Sample.Grey
        );
        var squash = seated.Pads.Single(p => p.Part == "M1").Squash;
        var film = seated.Dies[0].BondLinesUm.Max();
        Assert.Equal((mm, material, seated.Floats), (told.ThicknessMm, told.Material, told.Floats));
        Assert.Equal(film, told.WorstFilmUm, 1e-6);
        Assert.Equal(seated.Dies[0].LoadN, told.DieLoadN, 1e-6);
        Assert.Equal(squash, told.Squash, 1e-9);
        // its bulk as pressed and its two faces, 10 mm²·K/W each, over 14 × 12 mm
        var k = Materials[material].ConductivityWPerMK!.Value;
        double? rise = squash > 0 ? 3 * (mm * (1 - squash) / k / 168 * 1000 + 20 / 168.0) : null;
        Assert.Equal(rise is null, told.PartRiseK is null);
        Assert.Equal(rise ?? 0, told.PartRiseK ?? 0, 1e-6);
        Assert.Equal(squash > 0.45, told.TooMuch);
        Assert.Equal(told.Floats || told.TooMuch || squash <= 0, told.Wrong);
        Assert.Equal(
            told.Floats ? FormattableString.Invariant($"floats: film up to {film:0} µm, 100 allowed")
                : squash <= 0 ? "does not touch"
                : squash > 0.45 ? FormattableString.Invariant($"squashed {100 * squash:0} %, past the 45 % it takes")
                : FormattableString.Invariant(
                    $"film up to {film:0} µm, squash {100 * squash:0} %, M1 {rise:0.0} K over its land"
                ),
            told.Text
        );
    }

    [Fact]
    public void A_die_loaded_past_its_limit_is_too_much_and_a_cold_part_has_no_rise()
    {
        var load = On(Board(0), ["M1", "M2"], new StockedPad(1, "soft"))[0].DieLoadN;
        Assert.False(On(Board(0, load + 1), ["M1", "M2"], new StockedPad(1, "soft"))[0].TooMuch);
        var over = On(Board(0, load - 1), ["M1", "M2"], new StockedPad(1, "soft"))[0];
        Assert.True(over.TooMuch && over.Wrong && !over.Floats);
        Assert.Null(over.PartRiseK);
        Assert.DoesNotContain("over its land", over.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void What_does_not_touch_goes_after_what_is_pressed_and_before_what_is_crushed()
    {
        var ranked = On(Board(3), ["M1"], new(0.5, "good"), new(2.2, "soft"), new(1, "soft"), new(9, "unknown"));
        Assert.Equal([1, 0.5, 2.2], ranked.Select(a => a.ThicknessMm));
        Assert.Equal([false, true, true], ranked.Select(a => a.Wrong));
    }

    [Fact]
    public void Nothing_named_is_refused() =>
        Assert.Throws<InputException>(() => On(Board(3), [], new StockedPad(1, "soft")));

    [Fact]
    public void Of_two_dies_the_loads_add_and_one_past_its_limit_is_enough()
    {
        IReadOnlyList<Alternative> With(double maxN)
        {
            var (board, block) = Sample.Twins(maxN);
            return Compute.Others(
                board,
                block,
                [new("M1", 1, "soft")],
                ["M1"],
                [new(1, "soft")],
                Materials,
                Sample.Grey
            );
        }
        var free = With(9999)[0];
        var (b, k) = Sample.Twins(null);
        var each = Compute.Seat(b, k, [new("M1", 1, "soft")], Materials, Sample.Grey).Dies;
        Assert.Equal(each.Sum(d => d.LoadN), free.DieLoadN, 1e-6);
        Assert.False(free.TooMuch);
        Assert.True(With(each[0].LoadN - 1)[0].TooMuch);
    }
}
