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
        return Reckon.Others(
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
            Reckon.Others(Sample.Board(), Sample.Block(), [new("M1", 1, "soft")], ["U9"], [], Materials, Sample.Grey)
        );
}
