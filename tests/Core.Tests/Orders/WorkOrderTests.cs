using System.Text.Json;
using CsCheck;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Formats.Json;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Several boards and several blocks in one order.</summary>
public class WorkOrderTests
{
    private static readonly FitSettings Quick = new();

    /// <summary>A block of two screws as far apart as the holes of <see cref="Rails"/>, with one land of 20 × 8 mm.</summary>
    internal static Block Chip(string id = "chip", double widthMm = 34, IReadOnlyList<Join>? joins = null) =>
        new()
        {
            Id = id,
            Maker = "Copperwell",
            Model = "Chip",
            Kind = BlockKind.Chip,
            DeclaredFor = [],
            Joins = joins ?? [],
            Ports = [new("in", "G1/4", -10, 0, "up", "in"), new("out", "G1/4", 10, 0, "up", "out")],
            Plates =
            [
                new()
                {
                    Id = "main",
                    Outline = Sample.Rect(0, 0, widthMm, 14),
                    BaseStepMm = 4,
                    Lands =
                    [
                        new()
                        {
                            Id = "L",
                            Outline = Sample.Rect(0, 0, 20, 8),
                            For = PartKind.PowerStage,
                            Through = Through.Pad,
                            PadMm = 1,
                        },
                    ],
                    StandoffMm = 3,
                    Seat = Seat.Standoff,
                    Holes =
                    [
                        .. new[] { -14.0, 14.0 }.Select(
                            (x, i) =>
                                new BlockHole
                                {
                                    Id = $"S{i + 1}",
                                    X = x,
                                    Y = 0,
                                    ScrewMm = 2.5,
                                    Thread = "M2.5",
                                    Role = HoleRole.Perimeter,
                                    Required = true,
                                    StopMm = 3,
                                }
                        ),
                    ],
                },
            ],
        };

    /// <summary>Rows of two holes 28 mm apart, one row every so many mm, each with a hot part between its holes.</summary>
    internal static Board Rails(int rows, double everyMm)
    {
        var at = Enumerable.Range(0, rows).Select(i => i * everyMm).ToList();
        return Sample.Board() with
        {
            Outline = Sample.Rect(0, (rows - 1) * everyMm / 2, 80, rows * everyMm + 60),
            Holes =
            [
                .. at.SelectMany(
                    (y, i) =>
                        new[] { -14.0, 14.0 }.Select(
                            (x, k) => new BoardHole($"R{i + 1}{"ab"[k]}", x, y, 2.8, HoleRole.Perimeter)
                        )
                ),
            ],
            Parts =
            [
                .. at.Select((y, i) => Sample.Part($"V{i + 1}", PartKind.PowerStage, 0, y, 18, 7, 2, Cooling.Must)),
            ],
        };
    }

    internal static WorkOrder Order(Board board, params Block[] blocks) =>
        new() { Pieces = [new("A", board)], Pairs = [.. blocks.Select((b, i) => new Pair($"{(char)('P' + i)}", b))] };

    private static IReadOnlyList<string> Holes(PairFit pair) =>
        [.. pair.Plates.SelectMany(p => p.Screws).Select(s => s.BoardHole!)];

    [Fact]
    public void One_board_and_one_block_is_judged_as_the_plain_fit_to_the_last_digit()
    {
        var (board, block) = (Sample.Board(sigma: 0.12), Sample.Block());
        var order = OrderFits.Judge(WorkOrder.Plain(board, block), Quick);
        var plain = Fit.Judge(board, block, Quick);
        Assert.Equal(
            JsonSerializer.Serialize(plain, DocumentJson.Options),
            JsonSerializer.Serialize(Assert.Single(order.Pairs[0].On).Fit, DocumentJson.Options)
        );
        Assert.Equal(plain.Verdict, order.Verdict);
        Assert.Empty(order.Between);
    }

    [Fact]
    public void The_same_block_three_times_takes_three_rows_and_no_hole_twice()
    {
        var fit = OrderFits.Judge(Order(Rails(3, 20), Chip(), Chip(), Chip()), Quick);
        var taken = fit.Pairs.SelectMany(Holes).ToList();
        Assert.Equal(6, taken.Distinct().Count());
        Assert.Empty(fit.Between);
        Assert.Empty(fit.Uncovered);
        Assert.All(
            fit.Pairs,
            p => Assert.Equal(p.Plates[0].Screws[0].BoardHole![..2], p.Plates[0].Screws[1].BoardHole![..2])
        );
    }

    [Fact]
    public void A_block_more_than_there_are_rows_clashes_and_does_not_share_screws()
    {
        var fit = OrderFits.Judge(Order(Rails(2, 20), Chip(), Chip(), Chip()), Quick);
        Assert.Equal(Verdict.Clashes, fit.Verdict);
        Assert.Equal(2, fit.Pairs.Count(p => p.Verdict != Verdict.Clashes));
    }

    [Fact]
    public void What_no_block_of_the_order_covers_is_named_with_its_board()
    {
        var fit = OrderFits.Judge(Order(Rails(3, 20), Chip(), Chip()), Quick);
        var open = Assert.Single(fit.Uncovered);
        Assert.Equal("A", open.Board);
        Assert.StartsWith("V", open.Part);
        Assert.NotEqual(Verdict.Seats, fit.Verdict);
    }

    [Theory]
    // rows nearer than the blocks are deep (14 mm) share a strip as long as the block: (14 − 10) · 34 mm²
    [InlineData(10, 34, 4 * 34)]
    [InlineData(12.5, 34, 1.5 * 34)]
    public void Two_blocks_on_rows_too_near_lie_over_each_other_by_the_area_they_share(
        double everyMm,
        double widthMm,
        double areaMm2
    )
    {
        var fit = OrderFits.Judge(Order(Rails(2, everyMm), Chip(widthMm: widthMm), Chip(widthMm: widthMm)), Quick);
        var over = Assert.Single(fit.Between);
        Assert.Equal(BetweenCode.Overlap, over.Code);
        Assert.Equal(areaMm2, over.AreaMm2!.Value, 3);
        Assert.Equal(Verdict.Clashes, fit.Verdict);
        Assert.Contains(fit.Reasons, r => r.Code == "overlap");
    }

    [Theory]
    // ports of blocks on rows 20 mm apart, in at −10 and out at +10: √(20² + 20²) = 28.284 mm
    [InlineData(28.3, 0.05, null)]
    [InlineData(28.0, 0.3, null)]
    [InlineData(28.0, 0.2, 0.284)]
    [InlineData(30.0, 1.0, 1.716)]
    public void A_bridging_fitting_is_measured_from_port_to_port(double lengthMm, double tolMm, double? missMm)
    {
        Join join = new("bridge", "out", new("Q", "in"), lengthMm, tolMm);
        var fit = OrderFits.Judge(Order(Rails(2, 20), Chip(joins: [join]), Chip("other")), Quick);
        Assert.Equal(missMm is null, fit.Between.Count == 0);
        if (missMm is { } miss)
        {
            var fault = Assert.Single(fit.Between);
            Assert.Equal(BetweenCode.JoinMiss, fault.Code);
            Assert.Equal(miss, fault.MissMm!.Value, 3);
            Assert.Equal(("P", "Q"), (fault.A, fault.B));
        }
    }

    /// <summary>Two boards face to face with a block of two plates between them.</summary>
    internal static WorkOrder Clamped(double spacingMm, double tolMm, double coreMm, params Ribbon[] ribbons)
    {
        var block = Sample.Block() with { Plates = [.. Sample.Block().Plates] };
        var front = block.Plates[0] with { Id = "front", Board = "A" };
        var rear = front with { Id = "rear", Board = "B", CoreMm = coreMm };
        return new()
        {
            Pieces =
            [
                new("A", Sample.Board()),
                new("B", Sample.Board() with { Id = "b2" }, new(true, 0, 0, spacingMm, tolMm)),
            ],
            Pairs = [new(Pair.FirstKey, block with { Plates = [front, rear] })],
            Ribbons = ribbons,
        };
    }

    [Fact]
    public void A_block_between_two_boards_is_as_thick_as_its_planes_and_core_say()
    {
        var any = OrderFits.Judge(Clamped(20, 100, 10), Quick);
        var planes = any.Pairs[0].Plates.Select(p => p.PlaneMm!.Value).ToList();
        var thickMm = planes[0] + 10 + planes[1];
        Assert.Equal(2, any.Pairs[0].On.Count);
        Assert.Empty(OrderFits.Judge(Clamped(thickMm, 0.001, 10), Quick).Between);
        foreach (var miss in (double[])[0.5, -0.5])
        {
            var fault = Assert.Single(OrderFits.Judge(Clamped(thickMm - miss, 0.2, 10), Quick).Between);
            Assert.Equal(BetweenCode.Spacing, fault.Code);
            Assert.Equal(miss, fault.MissMm!.Value, 6);
            Assert.Contains(miss > 0 ? "too thick" : "too thin", fault.Text, StringComparison.Ordinal);
        }
    }

    [Theory]
    // the plate is 90 mm wide: a ribbon at x = 50 of 6 mm clears it by 2 mm, at x = 46 it lies 2 mm under
    [InlineData(50, false)]
    [InlineData(46, true)]
    public void A_ribbon_under_a_plate_would_be_pinched(double x, bool pinched)
    {
        Ribbon ribbon = new("R1", "ribbon", new("A", x, -10), new("B", -x, 10), 6);
        var faults = OrderFits.Judge(Clamped(20, 100, 10, ribbon), Quick).Between;
        Assert.Equal(pinched, faults.Any(f => f.Code == BetweenCode.Ribbon && f.A == "R1"));
    }

    [Fact]
    public void A_flipped_board_is_read_from_the_first_board_and_back_again() =>
        Gen.Double[-50, 50]
            .Select(Gen.Double[-50, 50], Gen.Double[-50, 50], Gen.Double[-50, 50])
            .Sample(t =>
            {
                var piece = new Workpiece("B", Sample.Board(), new(true, t.Item1, t.Item2, 10));
                Point2 p = new(t.Item3, t.Item4);
                var there = piece.InFirst(p);
                // a mirror about a line: done twice it is where it was
                var again = piece.InFirst(new(there.X, there.Y - t.Item2));
                Assert.Equal(p.X, again.X, tolerance: 1e-9);
                Assert.Equal(p.Y + t.Item2, again.Y, tolerance: 1e-9);
            });

    [Fact]
    public void Every_block_has_its_own_steps_and_letters_are_given_once()
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = Order(Rails(3, 20), Chip(), Chip(), Chip()),
                Drawer = new()
                {
                    Materials = [Sample.Soft],
                    Pads = [new("s10", "soft", 1, 100, 100, 1, false)],
                    Pastes = [new("t", Sample.Grey, 5, 24)],
                    Tools = [new("t6", "T6")],
                },
            }
        );
        Assert.Empty(plan.Troubles);
        var ids = plan.Steps.Select(s => s.Id).ToList();
        Assert.Equal(ids.Count, ids.Distinct().Count());
        foreach (var pair in (string?[])[null, "Q", "R"])
            Assert.Contains(plan.Steps, s => s.Id.Station == Station.Mount && s.Id.Scope == pair);
        var letters = plan.Pads.Pairs.SelectMany(p => p.Pads).Select(p => p.Letter).ToList();
        Assert.Equal(3, letters.Count);
        Assert.Equal(3, letters.Distinct().Count());
        // the plan reads back as it was written: a finished job is kept so
        var written = JsonSerializer.Serialize(plan, DocumentJson.Options);
        var read = JsonSerializer.Deserialize<JobPlan>(written, DocumentJson.Options);
        Assert.Equal(written, JsonSerializer.Serialize(read, DocumentJson.Options));
    }

    [Fact]
    public void A_step_id_reads_back_as_it_was_written_and_nothing_else_is_one()
    {
        Gen.Int[0, 8]
            .Select(Gen.String[Gen.Char["ABCPQR-19"], 0, 4], Gen.String[Gen.Char["abcABC.@-_19 "], 1, 20])
            .Sample(t =>
            {
                StepId id = new((Station)t.Item1, t.Item2.Length == 0 ? null : t.Item2, t.Item3);
                Assert.True(StepId.TryParse(id.ToString(), out var read));
                Assert.Equal(id, read);
            });
        foreach (
            var text in (string?[])
                [
                    null,
                    "",
                    "mount",
                    "mount.",
                    ".x",
                    "Mount.x",
                    "mount@.x",
                    "3.x",
                    "lunch.x",
                    $"mount.{new string('x', 200)}",
                ]
        )
            Assert.False(StepId.TryParse(text, out _), text);
    }
}
