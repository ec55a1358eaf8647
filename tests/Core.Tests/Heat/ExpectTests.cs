using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What the parts run at: the block's curve, the coolant, and each part's own way, by hand.</summary>
public class ExpectTests
{
    private static readonly PadMaterial Soft = Sample.Soft with { ConductivityWPerMK = 6 };
    private static readonly Dictionary<string, PadMaterial> Materials = new() { [Soft.Id] = Soft };
    private static readonly LaidPad[] Pads = [new("M1", 1, "soft"), new("M2", 1, "soft")];
    private static readonly PasteMaterial Paste = Sample.Grey with { ConductivityWPerMK = 4 };

    private static Board Board(double memoryW = 0) =>
        Sample.Board() is var b
            ? b with
            {
                Parts =
                [
                    .. b.Parts.Select(p =>
                        p.Kind == PartKind.Memory ? p with { DissipationW = memoryW, LimitC = 95 } : p
                    ),
                ],
            }
            : null!;

    internal static Block Block() =>
        Sample.Block() with
        {
            Flow = new(0.03, 0.06, 0.8, "L/min", []),
            ColdPlate = new("copper", 3, 90, 0)
            {
                FinArea = Sample.Rect(0, 0, 34, 30),
                FlowArea = Sample.Rect(0, 0, 80, 60),
            },
        };

    private static ExpectResult Ask(
        Board board,
        Block? block = null,
        double flow = 3,
        double? power = null,
        IReadOnlyList<LaidPad>? pads = null,
        IReadOnlyDictionary<string, PadMaterial>? materials = null
    ) =>
        Expect.Compute(
            LaidBlock.Create(board, block ?? Block()),
            pads ?? Pads,
            materials ?? Materials,
            Paste,
            new(power, 30, flow)
        );

    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    [InlineData(6)]
    public void The_die_alone_reaches_what_the_curve_says(double flow)
    {
        var r = Ask(Board(), flow: flow);
        var die = r.Parts.Single(p => p.Part == "U1");
        // 240 W: T_in + P/(2ρcQ) + P·(a + b·Q^−n)
        Assert.Equal(240 / (0.997 * 4180 * flow / 60), r.CoolantRiseK, 9);
        Assert.Equal(30 + r.CoolantRiseK / 2, r.CoolantMeanC, 9);
        Assert.Equal(240 * (0.03 + 0.06 * Math.Pow(flow, -0.8)), die.LandC - r.CoolantMeanC, 1e-3);
        var film = SeatingSolver
            .Solve(new(LaidBlock.Create(Board(), Block()), Pads, Materials, Paste))
            .Dies.Single()
            .BondLinesUm.Average();
        Assert.Equal(240 * film * 1e-6 / (4 * 24 * 22 * 1e-6), die.ThroughK, 6);
        Assert.Equal(die.LandC + die.ThroughK, die.C, 9);
    }

    [Fact]
    public void A_pads_own_way_is_its_gap_and_both_its_faces()
    {
        var r = Ask(Board(memoryW: 3));
        var memory = r.Parts.Single(p => p.Part == "M1");
        var squash = SeatingSolver
            .Solve(new(LaidBlock.Create(Board(3), Block()), Pads, Materials, Paste))
            .Pads.Single(p => p.Part == "M1")
            .Squash;
        var area = 14 * 12 * 1e-6;
        Assert.Equal(3 * ((1 - squash) * 1e-3 / (6 * area) + 2 * 10e-6 / area), memory.ThroughK, 6);
        // without watts of its own it sits at the plate's temperature there
        var still = Ask(Board()).Parts.Single(p => p.Part == "M1");
        Assert.Equal(0, still.ThroughK);
        Assert.Equal(still.LandC, still.C);
        Assert.True(still.LandC > Ask(Board()).CoolantMeanC - 1e-9);
    }

    [Fact]
    public void Every_rise_goes_with_the_power_and_the_asked_power_is_shared_as_the_board_shares_it()
    {
        var whole = Ask(Board(memoryW: 3));
        var half = Ask(Board(memoryW: 3), power: 123);
        Assert.Equal(whole.CoolantRiseK / 2, half.CoolantRiseK, 9);
        foreach (var (a, b) in whole.Parts.Zip(half.Parts))
            Assert.Equal((a.C - whole.CoolantMeanC) / 2, b.C - half.CoolantMeanC, 1e-6);
        Assert.Equal(246, whole.Parts.Sum(p => p.Watts), 9);
    }

    [Fact]
    public void What_does_not_touch_is_said_and_not_told()
    {
        var thin = Ask(Board(memoryW: 3), pads: [new("M1", 0.5, "soft"), new("M2", 1, "soft")]);
        Assert.DoesNotContain(thin.Parts, p => p.Part == "M1");
        Assert.Contains(thin.Warnings, w => w.ToString().Contains("M1 does not touch", StringComparison.Ordinal));
        var unknown = new Dictionary<string, PadMaterial> { ["soft"] = Sample.Soft };
        Assert.Contains(
            Ask(Board(3), materials: unknown).Warnings,
            w => w.ToString().Contains("no conductivity", StringComparison.Ordinal)
        );
        Assert.Contains(
            Ask(Board(3), pads: [Pads[1]]).Warnings,
            w => w.ToString().Contains("M1 has no pad", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void What_a_second_plate_covers_and_what_lies_under_a_lid_are_told_with_all_their_watts()
    {
        var main = Block().Plates[0];
        var two = Block() with
        {
            Plates =
            [
                main with
                {
                    Lands = [.. main.Lands.Where(l => l.Id != "L-m2")],
                },
                main with
                {
                    Id = "arm",
                    Lands = [main.Lands.Single(l => l.Id == "L-m2")],
                    Seat = Seat.Standoff,
                    StandoffMm = 2.13,
                },
            ],
        };
        var told = Ask(Board(memoryW: 3), two);
        Assert.Equal(["M1", "M2", "U1"], told.Parts.Select(p => p.Part).Order());
        Assert.Equal(246, told.Parts.Sum(p => p.Watts), 9);
        Assert.True(told.Parts.Single(p => p.Part == "M2").C > told.CoolantMeanC + 1);

        // two dies under a lid: bond by hand, and each under the lid's own temperature by no less than its bond
        var bare = Board();
        var lidded = bare with
        {
            Parts =
            [
                .. bare.Parts.Where(p => p.Id != "U1"),
                Sample.Part("LID", PartKind.Lid, 0, 0, 24, 22, 2.1, Cooling.Must) with
                {
                    LidThicknessMm = 1.5,
                },
                Sample.Part("D1", PartKind.Die, -5, 0, 8, 10, 0.5) with
                {
                    Under = "LID",
                    DissipationW = 100,
                    BondMm = 0.1,
                },
                Sample.Part("D2", PartKind.Die, 5, 0, 8, 10, 0.5) with
                {
                    Under = "LID",
                    DissipationW = 50,
                },
            ],
        };
        var block = Block();
        block = block with
        {
            Plates = [main with { Lands = [main.Lands[0] with { For = PartKind.Lid }, .. main.Lands.Skip(1)] }],
        };
        var under = Ask(lidded, block);
        var (lid, die) = (under.Parts.Single(p => p.Part == "LID"), under.Parts.Single(p => p.Part == "D1"));
        Assert.Equal((150, 100), (lid.Watts, die.Watts));
        Assert.True(die.C > lid.C + 100 * 0.1e-3 / (80 * 80e-6));
        // no bond is stated for the other: it is named, not guessed
        Assert.Equal(["D2"], under.Untold.Select(p => p.Id));
        Assert.Contains(under.Warnings, w => w.ToString().StartsWith("D2 lies under LID", StringComparison.Ordinal));
    }

    [Fact]
    public void A_block_without_a_curve_or_with_one_that_its_plate_can_not_reach_is_refused()
    {
        string Field(Block block) => Assert.Throws<InputException>(() => Ask(Board(), block)).Faults[0].Field!;
        Assert.Equal("block/flow", Field(Block() with { Flow = null }));
        // the fins stand far from the die: the way there alone is more than the curve allows
        var far = Block() with
        {
            Flow = new(0.001, 0.001, 0.8, "L/min", []),
            ColdPlate = new("copper", 1, 90, 0) { FinArea = Sample.Rect(38, 38, 8, 8) },
        };
        Assert.Equal("block/flow", Field(far));
    }
}
