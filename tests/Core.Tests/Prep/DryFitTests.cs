using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Prep;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What the documents say has to be looked at with the block laid on dry.</summary>
public class DryFitTests
{
    private static Dictionary<string, DryFitCheck> Checks(
        Board? board = null,
        Block? block = null,
        Func<FitResult, FitResult>? judged = null
    )
    {
        var (b, k) = (board ?? Sample.Board(), block ?? Sample.Block());
        var fit = Fit.Judge(b, k);
        return DryFit.Create(LaidBlock.Create(b, k), judged?.Invoke(fit) ?? fit).ToDictionary(c => c.Id);
    }

    private static Board With(params Part[] parts) => Sample.Board(more: parts);

    private static Part At(PartKind kind, double x, double y, Face face = Face.Front) =>
        Sample.Part("X1", kind, x, y, 8, 4, 0.5) with
        {
            Face = face,
        };

    [Fact]
    public void A_plain_card_has_nothing_to_look_at_but_holes_and_leads()
    {
        var checks = Checks();
        Assert.Equal(["holes", "leads"], checks.Keys.Order());
        Assert.All(checks.Values, c => Assert.Equal(DryFitState.Fine, c.State));
        Assert.Contains("All 4 holes", checks["holes"].Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_required_screw_that_misses_is_named_and_one_that_may_stay_out_is_not()
    {
        static FitResult Missing(FitResult f, bool required) =>
            f with
            {
                Screws = [f.Screws[0] with { MissMm = 1, SlackMm = 0.1, Required = required }, .. f.Screws.Skip(1)],
            };
        var lost = Checks(judged: f => Missing(f, true))["holes"];
        Assert.Equal((DryFitState.Trouble, "S1 will not line up."), (lost.State, lost.Text));
        var spare = Checks(judged: f => Missing(f, false))["holes"];
        Assert.Equal(DryFitState.Fine, spare.State);
        Assert.Contains("All 3 holes", spare.Text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0.99, true)]
    [InlineData(1.0, false)]
    public void The_least_room_is_looked_at_from_the_side_when_it_is_under_a_millimetre(double mm, bool told)
    {
        var checks = Checks(judged: f => f with { Margins = [new("C7", mm, CeilingRegion.Base)] });
        Assert.Equal(told, checks.ContainsKey("tight"));
        if (told)
            Assert.Equal(["C7"], checks["tight"].Parts);
    }

    [Fact]
    public void What_meets_the_block_is_trouble_and_hides_what_is_only_tight()
    {
        var checks = Checks(judged: f =>
            f with
            {
                Clashes = [new("C7", -0.4, CeilingRegion.Base), new("C8", -0.1, CeilingRegion.Base)],
                Margins = [new("C7", -0.4, CeilingRegion.Base)],
            }
        );
        Assert.Equal(DryFitState.Trouble, checks["clash"].State);
        Assert.Equal(["C7", "C8"], checks["clash"].Parts);
        Assert.DoesNotContain("tight", checks.Keys);
    }

    [Theory]
    // the plate reaches to 45: a plug 8 mm wide lies under it by more than a fifth up to 47.4
    [InlineData(40, Face.Front, DryFitState.Trouble)]
    [InlineData(47, Face.Front, DryFitState.Trouble)]
    [InlineData(48, Face.Front, DryFitState.Fine)]
    [InlineData(40, Face.Back, DryFitState.Fine)]
    public void A_plug_under_the_plate_would_be_pinched(double x, Face face, DryFitState state)
    {
        var leads = Checks(With(At(PartKind.Connector, x, 0, face)))["leads"];
        Assert.Equal(state, leads.State);
        Assert.Equal(state == DryFitState.Trouble ? ["X1"] : [], leads.Parts);
    }

    [Fact]
    public void A_cover_under_the_plate_comes_off_first()
    {
        Assert.Equal(["X1"], Checks(With(At(PartKind.Cover, 35, 0)))["covers"].Parts);
        Assert.DoesNotContain("covers", Checks(With(At(PartKind.Cover, 55, 0))).Keys);
    }

    [Theory]
    [InlineData(20, 0, "right edge by 5 mm")]
    [InlineData(-20, 0, "left edge by 5 mm")]
    [InlineData(0, 10, "upper edge by 5 mm")]
    [InlineData(0, -10, "lower edge by 5 mm")]
    [InlineData(20, 10, "right edge by 5 mm and the upper edge by 5 mm")]
    [InlineData(15.4, 0, null)]
    public void A_block_that_reaches_past_the_board_says_where(double x, double y, string? words)
    {
        var block = Sample.Block();
        var wide = block with { Plates = [block.Plates[0] with { Outline = Sample.Rect(x, y, 90, 90) }] };
        Assert.Equal(words is not null, Checks(block: wide).TryGetValue("overhang", out var told));
        if (words is not null)
            Assert.Contains(words, told!.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Ports_are_looked_at_side_by_side_and_those_that_point_nowhere_are_left_out()
    {
        var block = Sample.Block() with
        {
            Ports =
            [
                new("A", "G1/4", 0, 0, "up", null),
                new("B", "G1/4", 9, 0, "up", null),
                new("C", "G1/4", 0, 9, "right", null),
                new("D", "G1/4", 9, 9, null, null),
            ],
        };
        var ports = Checks(block: block).Values.Where(c => c.Id.StartsWith("ports", StringComparison.Ordinal)).ToList();
        Assert.Equal(["ports-up", "ports-right"], ports.Select(c => c.Id));
        Assert.StartsWith("Ports A and B face up", ports[0].Text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(2, 2, DryFitState.Fine, "stays")]
    [InlineData(3, 2, DryFitState.Look, "from 3 to 2 slots")]
    [InlineData(3, 1, DryFitState.Look, "from 3 to 1 slot:")]
    public void A_bracket_stays_or_changes(int board, int block, DryFitState state, string words)
    {
        var told = Checks(Sample.Board() with { Slots = board }, Sample.Block() with { BracketSlots = block })[
            "bracket"
        ];
        Assert.Equal(state, told.State);
        Assert.Contains(words, told.Text, StringComparison.Ordinal);
        Assert.DoesNotContain("bracket", Checks(block: Sample.Block() with { BracketSlots = block }).Keys);
    }

    [Theory]
    [InlineData(2.0, false, DryFitState.Look)]
    [InlineData(1.0, false, DryFitState.Trouble)]
    [InlineData(1.0, true, DryFitState.Look)]
    [InlineData(null, false, DryFitState.Look)]
    public void A_back_plate_lies_on_the_tallest_part_behind(double? standoff, bool land, DryFitState state)
    {
        var board = With(
            At(PartKind.Capacitor, 0, 0, Face.Back) with
            {
                HeightMm = 1.5,
            },
            At(PartKind.Empty, 20, 0, Face.Back) with
            {
                Id = "X2",
                HeightMm = 9,
            }
        );
        var block = Sample.Block() with
        {
            BackPlate = new()
            {
                Id = "back",
                StandoffMm = standoff,
                Lands = land
                    ?
                    [
                        new()
                        {
                            Id = "L",
                            Outline = Sample.Rect(0, 0, 9, 9),
                            Part = "X1",
                            Through = Through.Pad,
                        },
                    ]
                    : [],
            },
        };
        var told = Checks(board, block)["back"];
        Assert.Equal((state, "X1"), (told.State, told.Parts[0]));
        Assert.DoesNotContain("back", Checks(block: block).Keys);
    }

    [Fact]
    public void The_dry_fit_list_comes_out_of_the_documents()
    {
        var board = Sample.Board(more: Sample.Part("J1", PartKind.Connector, 35, 0, 8, 4, 0.5));
        var wide = Sample.Block() with
        {
            BracketSlots = 1,
            Plates = [Sample.Block().Plates[0] with { Outline = Sample.Rect(0, -10, 90, 90) }],
        };
        var checks = DryFit
            .Create(LaidBlock.Create(board with { Slots = 3 }, wide), Fit.Judge(board, wide))
            .ToDictionary(c => c.Id);
        Assert.Equal(DryFitState.Fine, checks["holes"].State);
        Assert.Equal(DryFitState.Trouble, checks["leads"].State);
        Assert.Contains("J1", checks["leads"].Text, StringComparison.Ordinal);
        Assert.Contains("lower edge by 5 mm", checks["overhang"].Text, StringComparison.Ordinal);
        Assert.Contains("from 3 to 1 slot", checks["bracket"].Text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(2, "All 2 holes in sight")]
    [InlineData(1, "Its one hole in sight")]
    [InlineData(0, "No screw of it has to find a hole")]
    public void Holes_in_sight_are_counted(int required, string words)
    {
        var told = Checks(judged: f => f with { Screws = [.. f.Screws.Take(required)] })["holes"];
        Assert.Equal(DryFitState.Fine, told.State);
        Assert.StartsWith(words, told.Text, StringComparison.Ordinal);
    }

    private static Block TwoPlates()
    {
        var block = Sample.Block();
        return block with
        {
            Plates =
            [
                block.Plates[0],
                block.Plates[0] with
                {
                    Id = "second",
                    Outline = Sample.Rect(0, 60, 150, 20),
                    Lands = [],
                    Holes = [],
                },
            ],
        };
    }

    [Fact]
    public void Every_plate_of_a_block_counts()
    {
        // the board reaches to 60 and 50, the second plate to 75 on both sides and up to 70
        Assert.Contains(
            "left edge by 15 mm and the right edge by 15 mm and the upper edge by 20 mm",
            Checks(block: TwoPlates())["overhang"].Text,
            StringComparison.Ordinal
        );
        // under one of them is under the block
        var leads = Checks(With(At(PartKind.Connector, 40, 0)), TwoPlates())["leads"];
        Assert.Equal(DryFitState.Trouble, leads.State);
        Assert.StartsWith("X1 lies under the plate", leads.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Two_plugs_lie_under_the_plate()
    {
        var two = Checks(With(At(PartKind.Connector, 35, 0), At(PartKind.Connector, -35, 0) with { Id = "X2" }))[
            "leads"
        ];
        Assert.StartsWith("X1, X2 lie under the plate", two.Text, StringComparison.Ordinal);
        Assert.Equal(["X1", "X2"], two.Parts);
    }
}
