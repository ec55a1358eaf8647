using FaithfulBracket.Core.Prove.Faults;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Faults are drawn as often as they are met, where they can sit.</summary>
public class HiddenFaultTests
{
    private const int Draws = 8000;

    private static List<HiddenFault> Drawn(FaultBench bench, bool certain, IReadOnlyList<FaultPrior>? met = null) =>
        [.. Enumerable.Range(0, Draws).Select(seed => HiddenFault.Draw(bench, seed, certain, met))];

    private static double Share(List<HiddenFault> drawn, Func<HiddenFault, bool> of) => drawn.Count(of) / (double)Draws;

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Each_as_often_as_its_prior_says(bool certain)
    {
        var drawn = Drawn(FaultTests.Whole, certain);
        List<FaultPrior> may =
        [
            .. FaultPriors.Default.Where(p => p.Kind != FaultKind.Misread && (!certain || p.Kind != FaultKind.None)),
        ];
        var sum = may.Sum(p => p.Prior);
        foreach (var p in may)
            // four standard deviations of 8,000 draws
            Assert.Equal(
                p.Prior / sum,
                Share(drawn, f => f.Kind == p.Kind),
                4 * Math.Sqrt(p.Prior / sum * (1 - p.Prior / sum) / Draws)
            );
        Assert.DoesNotContain(drawn, f => f.Kind == FaultKind.Misread);
        for (var corner = 0; corner < 4; corner++)
            Assert.Equal(0.25, Share(drawn, f => f.Corner == corner), 0.02);
    }

    [Fact]
    public void The_shops_own_shares_are_drawn_where_they_are_given()
    {
        FaultPrior[] met =
        [
            new(FaultKind.None, 0.5, 0, 0, ""),
            new(FaultKind.Air, 0.3, 0.1, 0.2, ""),
            new(FaultKind.PasteVoid, 0.1, 0.3, 0.3, ""),
            new(FaultKind.Misread, 0.1, 3, 20, ""),
        ];
        var drawn = Drawn(FaultTests.Whole, true, met);
        Assert.Equal(0.75, Share(drawn, f => f.Kind == FaultKind.Air), 0.02);
        Assert.All(drawn, f => Assert.Equal(f.Kind == FaultKind.Air ? null : "U1", f.Part));
        Assert.All(drawn.Where(f => f.Kind == FaultKind.Air), f => Assert.InRange(f.Size, 0.1, 0.2));
        Assert.Equal(0.15, drawn.Where(f => f.Kind == FaultKind.Air).Average(f => f.Size), 0.002);
        Assert.Equal(0.5 / 0.9, Share(Drawn(FaultTests.Whole, false, met), f => f.Kind == FaultKind.None), 0.025);
    }

    [Fact]
    public void A_chip_that_gives_no_heat_hides_nothing_and_the_others_share()
    {
        var drawn = Drawn(FaultTests.Bench(3, "M5"), true);
        var film = drawn.Where(f => f.Kind == FaultKind.FilmLeft).ToList();
        foreach (var chip in new[] { "M1", "M2", "M3", "M4", "M6" })
            Assert.Equal(0.2, film.Count(f => f.Part == chip) / (double)film.Count, 0.05);
        Assert.DoesNotContain(drawn, f => f.Part == "M5");
        // where no pad gives heat no pad is at fault
        var none = Drawn(FaultTests.Bench(3, "M1", "M2", "M3", "M4", "M5", "M6"), true);
        Assert.DoesNotContain(
            none,
            f => f.Kind is FaultKind.FilmLeft or FaultKind.PadMissing or FaultKind.PadThin or FaultKind.None
        );
        Assert.Contains(none, f => f is { Kind: FaultKind.PumpOut, Part: "U1" });
    }

    [Fact]
    public void It_is_told_with_its_place()
    {
        Assert.Equal("nothing wrong", HiddenFault.None.Words);
        Assert.Equal("air in the fins", new HiddenFault(FaultKind.Air, null, 0, 0.2).Words);
        Assert.Equal("pad too thin, M2", new HiddenFault(FaultKind.PadThin, "M2", 0, 0.2).Words);
    }
}
