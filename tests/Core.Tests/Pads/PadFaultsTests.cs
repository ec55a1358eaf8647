using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Each fault against the block seated by hand on the pads it leaves, and what would be seen and felt of it.</summary>
public class PadFaultsTests
{
    private static readonly Dictionary<string, PadMaterial> Materials = new()
    {
        ["soft"] = Sample.Soft with { ConductivityWPerMK = 3 },
        ["stiff"] = Sample.Soft with { Id = "stiff", Curve = [new(0, 0), new(0.5, 3)], ConductivityWPerMK = 5 },
        ["dumb"] = Sample.Soft with { Id = "dumb" },
    };

    private static Board Board(double watts) =>
        Sample.Board() with
        {
            Parts =
            [
                .. Sample.Board().Parts.Select(p => p.Kind == PartKind.Memory ? p with { DissipationW = watts } : p),
            ],
        };

    private static (PadFaultResult Told, SeatingResult Before, SeatingResult After) Try(
        PadFault fault,
        string material = "soft",
        double mm = 1,
        double watts = 3,
        string part = "M1"
    )
    {
        LaidPad[] pads = [new("M1", mm, material), new("M2", mm, material)];
        double? thickness = fault switch
        {
            PadFault.FilmOneSide => mm + 0.075,
            PadFault.FilmBothSides => mm + 0.15,
            PadFault.Doubled => 2 * mm,
            PadFault.ThickerByHalf => mm + 0.5,
            PadFault.ThinnerByHalf => mm > 0.55 ? mm - 0.5 : 0.05,
            _ => null,
        };
        List<LaidPad> wrong =
        [
            .. from p in pads
            where p.Part != part || thickness is not null
            select p.Part == part ? p with { ThicknessMm = thickness!.Value } : p,
        ];
        SeatingResult Seat(IReadOnlyList<LaidPad> laid) =>
            Compute.Seat(Board(watts), Sample.Block(), laid, Materials, Sample.Grey);
        return (
            Compute.Fault(Board(watts), Sample.Block(), pads, part, fault, Materials, Sample.Grey),
            Seat(pads),
            Seat(wrong)
        );
    }

    public static TheoryData<PadFault, string, double> All()
    {
        var all = new TheoryData<PadFault, string, double>();
        foreach (var fault in Enum.GetValues<PadFault>())
        {
            all.Add(fault, "soft", 1);
            all.Add(fault, "stiff", 0.8);
            all.Add(fault, "soft", 1.2);
        }
        return all;
    }

    [Theory]
    [MemberData(nameof(All))]
    public void The_block_rests_as_on_the_pads_that_were_laid(PadFault fault, string material, double mm)
    {
        var (told, _, after) = Try(fault, material, mm);
        Assert.Equal(fault, told.Fault);
        Assert.Equal(after.Dies[0].LoadN, told.Seating.Dies[0].LoadN, 1e-6);
        Assert.Equal(after.Pads.Select(p => p.Part), told.Seating.Pads.Select(p => p.Part));
        Assert.Equal(after.Pads[0].Squash, told.Seating.Pads[0].Squash, 1e-9);
    }

    [Fact]
    public void A_pad_thinner_than_half_a_millimetre_more_is_as_thin_as_a_pad_can_be() =>
        Assert.Equal(
            Try(PadFault.ThinnerByHalf, "stiff", 0.5).After.PlaneMm,
            Try(PadFault.ThinnerByHalf, "stiff", 0.5).Told.Seating.PlaneMm,
            1e-9
        );

    /// <summary>In metres: what is left of the pad, another face between two layers, and films of 0.2 W/(m·K).</summary>
    private static double? Rise(SeatingResult seated, double thickMm, double k, int films, int layers, double watts = 3)
    {
        var pad = seated.Pads.SingleOrDefault(p => p.Part == "M1");
        if (pad is null || pad.Squash <= 0)
            return null;
        var left = thickMm * (1 - pad.Squash) - films * 0.075 + (layers - 1) * 0.1;
        return watts * (left * 1e-3 / k + films * 0.075e-3 / 0.2) / (14e-3 * 12e-3);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void The_part_stands_over_its_land_by_what_lies_between(PadFault fault, string material, double mm)
    {
        var (told, before, after) = Try(fault, material, mm);
        var k = material == "soft" ? 3 : 5;
        var (thick, films, layers) = fault switch
        {
            PadFault.FilmOneSide => (mm + 0.075, 1, 1),
            PadFault.FilmBothSides => (mm + 0.15, 2, 1),
            PadFault.Doubled => (2 * mm, 0, 2),
            PadFault.ThickerByHalf => (mm + 0.5, 0, 1),
            _ => (mm - 0.5, 0, 1),
        };
        Near(Rise(before, mm, k, 0, 1), told.RiseBeforeK);
        Near(fault == PadFault.Missed ? null : Rise(after, thick, k, films, layers), told.RiseK);
        // the words say the same
        var part = told.Seen[^1];
        if (fault == PadFault.Missed || after.Pads.Single(p => p.Part == "M1").Squash <= 0)
            Assert.Equal("M1 touches nothing: it climbs to its limit under load while its neighbours stay cool.", part);
        else if (told.RiseBeforeK is { } b)
            Assert.Equal(
                told.RiseK - b > 1
                    ? FormattableString.Invariant(
                        $"M1 stands {told.RiseK:0} K over its land instead of {b:0}: {told.RiseK - b:0} K hotter than its neighbours."
                    )
                    : FormattableString.Invariant($"M1 stands {told.RiseK:0} K over its land, about as before."),
                part
            );
    }

    private static void Near(double? expected, double? told)
    {
        Assert.Equal(expected is null, told is null);
        if (expected is { } e)
            Assert.Equal(e, told!.Value, 1e-6);
    }

    [Fact]
    public void Without_heat_or_conductivity_no_rise_is_told()
    {
        var cold = Try(PadFault.Doubled, watts: 0).Told;
        Assert.Equal((null, null), (cold.RiseK, cold.RiseBeforeK));
        Assert.DoesNotContain(cold.Seen, t => t.Contains("over its land", StringComparison.Ordinal));
        Assert.Equal("M1 touches nothing.", Try(PadFault.Missed, watts: 0).Told.Seen[^1]);
        var dumb = Try(PadFault.Doubled, "dumb").Told;
        Assert.Equal((null, null), (dumb.RiseK, dumb.RiseBeforeK));
    }

    [Theory]
    [MemberData(nameof(All))]
    public void What_is_seen_of_block_and_film_is_what_the_two_seatings_differ_by(
        PadFault fault,
        string material,
        double mm
    )
    {
        var (told, before, after) = Try(fault, material, mm);
        // heights over the plate's edges: a turn about +x lifts +y, one about +y lowers +x
        double Up(double x, double y)
        {
            double Height(SeatingResult s) =>
                s.PlaneMm - x * Math.Tan(s.TiltDeg[1] * Math.PI / 180) + y * Math.Tan(s.TiltDeg[0] * Math.PI / 180);
            return Height(after) - Height(before);
        }
        (string Name, double Up, double Across)[] edges =
        [
            ("left", Up(-45, 0), Up(45, 0)),
            ("right", Up(45, 0), Up(-45, 0)),
            ("lower", Up(0, -45), Up(0, 45)),
            ("upper", Up(0, 45), Up(0, -45)),
        ];
        var most = edges.MaxBy(e => e.Up);
        Assert.Equal(
            most.Up < 0.03 ? "The edges look as even as with good pads: the eye does not find this one."
                : most.Up - most.Across < 0.03
                    ? FormattableString.Invariant($"The whole block stands {most.Up:0.00} mm higher.")
                : FormattableString.Invariant(
                    $"The {most.Name} edge stands {most.Up:0.00} mm higher than it should, the edge across "
                )
                    + (
                        most.Across < -0.01
                            ? FormattableString.Invariant($"{-most.Across:0.00} mm lower.")
                            : "hardly changes."
                    ),
            told.Seen[0]
        );
        double was = before.Dies[0].BondLinesUm.Max(),
            now = after.Dies[0].BondLinesUm.Max();
        string? film =
            after.Floats && !before.Floats
                ? FormattableString.Invariant(
                    $"The block floats: the film over the die is up to {now:0} µm instead of {was:0}. The imprint is pale at that corner, and the die runs hot."
                )
            : now > 1.15 * was + 2
                ? FormattableString.Invariant($"The film over the die thickens to {now:0} µm from {was:0}.")
            : null;
        Assert.Equal(film is null ? 2 : 3, told.Seen.Count);
        if (film is not null)
            Assert.Equal(film, told.Seen[1]);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void What_is_felt_is_the_dies_load_and_the_screw_beside_the_part(PadFault fault, string material, double mm)
    {
        var (told, before, after) = Try(fault, material, mm);
        var felt = new List<string>();
        double dieWas = before.Dies[0].LoadN,
            dieIs = after.Dies[0].LoadN;
        if (dieIs < dieWas - 3)
            felt.Add(FormattableString.Invariant($"The die keeps {dieIs:0} N instead of {dieWas:0}."));
        // M1 lies at −15, 33; S4 at −29, 29
        double was = before.Screws.Single(s => s.Hole == "S4").LoadN,
            now = after.Screws.Single(s => s.Hole == "S4").LoadN;
        felt.Add(
            now > was + 3
                ? FormattableString.Invariant(
                    $"Screw S4 beside it grips early and ends at {now:0} N instead of {was:0}."
                )
            : now < was - 3
                ? FormattableString.Invariant($"Screw S4 beside it stays lighter, {now:0} N instead of {was:0}.")
            : "The screws feel as always."
        );
        Assert.Equal(felt, told.Felt);
    }

    [Fact]
    public void Between_them_the_faults_show_every_kind_of_sign()
    {
        string[] said =
        [
            .. All()
                .Select(r => Try(r.Data.Item1, r.Data.Item2, r.Data.Item3).Told)
                .SelectMany(t => t.Seen.Concat(t.Felt)),
        ];
        foreach (
            var sign in new[]
            {
                "as even as with good pads",
                "edge stands",
                "The block floats",
                "thickens to",
                "touches nothing",
                "hotter than its neighbours",
                "about as before",
                "The die keeps",
                "grips early",
                "as always",
            }
        )
            Assert.Contains(said, s => s.Contains(sign, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(-33, 0, "left")]
    [InlineData(33, 0, "right")]
    [InlineData(0, -33, "lower")]
    [InlineData(0, 33, "upper")]
    public void The_edge_beside_a_doubled_pad_stands_high(double x, double y, string edge)
    {
        var board = Sample.Board();
        board = board with { Parts = [.. board.Parts.Select(p => p.Id == "M1" ? p with { X = x, Y = y } : p)] };
        var block = Sample.Block();
        block = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Lands =
                    [
                        .. block
                            .Plates[0]
                            .Lands.Select(l => l.Id == "L-m1" ? l with { Outline = Sample.Rect(x, y, 15, 13) } : l),
                    ],
                },
            ],
        };
        var told = Compute.Fault(board, block, [new("M1", 1, "soft")], "M1", PadFault.Doubled, Materials, Sample.Grey);
        Assert.StartsWith($"The {edge} edge stands", told.Seen[0], StringComparison.Ordinal);
    }

    [Fact]
    public void The_part_of_the_other_pad_is_the_one_that_is_told()
    {
        var told = Try(PadFault.Doubled, part: "M2").Told;
        Assert.StartsWith("M2 stands", told.Seen[^1], StringComparison.Ordinal);
        Assert.Contains("Screw S2", told.Felt[^1], StringComparison.Ordinal);
    }

    [Fact]
    public void What_lifts_a_block_evenly_is_told_of_the_whole_and_both_dies_count()
    {
        var (board, block) = Sample.Twins();
        LaidPad[] pads = [new("M1", 1, "stiff")];
        var told = Compute.Fault(board, block, pads, "M1", PadFault.Doubled, Materials, Sample.Grey);
        SeatingResult before = Compute.Seat(board, block, pads, Materials, Sample.Grey),
            after = Compute.Seat(board, block, [new("M1", 2, "stiff")], Materials, Sample.Grey);
        Assert.Equal(
            FormattableString.Invariant($"The whole block stands {after.PlaneMm - before.PlaneMm:0.00} mm higher."),
            told.Seen[0]
        );
        Assert.Equal(
            FormattableString.Invariant(
                $"The die keeps {after.Dies.Sum(d => d.LoadN):0} N instead of {before.Dies.Sum(d => d.LoadN):0}."
            ),
            told.Felt[0]
        );
    }

    [Fact]
    public void What_changes_little_is_not_felt_and_the_screw_beside_is_its_own()
    {
        Dictionary<string, PadMaterial> feather = new()
        {
            ["soft"] = Sample.Soft with { Curve = [new(0, 0), new(0.5, 0.004)], ConductivityWPerMK = 3 },
        };
        var light = Compute.Fault(
            Board(3),
            Sample.Block(),
            [new("M1", 1, "soft"), new("M2", 1, "soft")],
            "M1",
            PadFault.ThickerByHalf,
            feather,
            Sample.Grey
        );
        Assert.Equal(["The screws feel as always."], light.Felt);
        // pads that were uneven before: each screw was loaded otherwise
        LaidPad[] uneven = [new("M1", 1.2, "stiff"), new("M2", 0.8, "soft")];
        var told = Compute.Fault(Board(3), Sample.Block(), uneven, "M1", PadFault.Doubled, Materials, Sample.Grey);
        var was = Compute
            .Seat(Board(3), Sample.Block(), uneven, Materials, Sample.Grey)
            .Screws.Single(s => s.Hole == "S4")
            .LoadN;
        Assert.EndsWith(
            FormattableString.Invariant($" N instead of {was:0}."),
            told.Felt[^1],
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_part_without_a_pad_is_refused() =>
        Assert.Equal("part", Assert.Throws<InputException>(() => Try(PadFault.Missed, part: "U1")).Faults[0].Field);

    [Fact]
    public void Film_left_on_heats_by_what_film_resists()
    {
        var (one, both) = (Try(PadFault.FilmOneSide).Told, Try(PadFault.FilmBothSides).Told);
        // 3 W through 0.075 mm of 0.2 W/(m·K) on 14 × 12 mm: 6.7 K, less what the thinner pad gives back
        var film = 3 * 0.075e-3 / 0.2 / (14e-3 * 12e-3);
        Assert.InRange(one.RiseK!.Value - one.RiseBeforeK!.Value, 0.85 * film, 1.1 * film);
        Assert.True(both.RiseK > one.RiseK);
    }

    [Fact]
    public void A_missed_pad_touches_nothing_and_lets_the_block_sink_there()
    {
        var missed = Try(PadFault.Missed).Told;
        Assert.Null(missed.RiseK);
        Assert.Contains(missed.Seen, t => t.Contains("touches nothing", StringComparison.Ordinal));
        Assert.DoesNotContain(missed.Seating.Pads, p => p.Part == "M1");
    }

    [Fact]
    public void A_doubled_pad_lifts_the_edge_on_its_side()
    {
        var (doubled, sound, _) = Try(PadFault.Doubled);
        Assert.True(doubled.Seating.Dies.Max(d => d.BondLinesUm.Max()) > sound.Dies.Max(d => d.BondLinesUm.Max()));
        // M1 lies above and left of the die
        Assert.Contains(
            doubled.Seen,
            t => t.Contains("upper edge", StringComparison.Ordinal) || t.Contains("left edge", StringComparison.Ordinal)
        );
        Assert.Contains(
            doubled.Felt,
            t => t.Contains("S4", StringComparison.Ordinal) || t.Contains("The die keeps", StringComparison.Ordinal)
        );
    }
}
