using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What to put the caliper on: holes while the chance is open, heights with little room.</summary>
public class NextMeasureTests
{
    private const double Sigma = 0.06;

    private static readonly Board Board = Sample.Board(
        Sigma,
        [.. Enumerable.Range(1, 4).Select(i => Sample.Part($"C{i}", PartKind.Capacitor, 35, 6 * i - 12, 3, 3, 2.8))]
    );
    private static readonly FitResult Fitted = Fit.Judge(Board, Sample.Block());

    private static IReadOnlyList<Measure> For(
        double chance,
        ScrewFit[]? screws = null,
        PartMargin[]? margins = null,
        Board? board = null,
        FitSettings? settings = null
    ) =>
        NextMeasure.For(
            board ?? Board,
            Sample.Block(),
            Fitted with
            {
                ChanceOfSeating = chance,
                Screws = screws ?? Fitted.Screws,
                Margins = margins ?? [],
            },
            settings
        );

    private static ScrewFit Screw(int i, double? miss, double? slack, bool required = true, bool hole = true) =>
        new($"S{i}", hole ? $"H{i}" : null, miss, slack, required);

    [Fact]
    public void A_surveyed_board_needs_no_caliper() =>
        Assert.Empty(For(0.5, margins: [new("C1", 0.1, CeilingRegion.Base)], board: Sample.Board()));

    [Theory]
    [InlineData(0.05, 3)]
    [InlineData(0.95, 3)]
    [InlineData(0.5, 3)]
    [InlineData(0.049, 0)]
    [InlineData(0.951, 0)]
    public void Holes_are_asked_for_while_the_chance_is_open_three_at_most(double chance, int holes) =>
        Assert.Equal(holes, For(chance).Count(m => m.What == "hole"));

    [Fact]
    public void The_shops_own_bounds_count() => Assert.Equal(3, For(0.97, settings: new(Passes: 0.99)).Count);

    [Fact]
    public void Only_required_screws_over_a_hole_are_asked_for_and_what_tells_most_first()
    {
        var told = For(
            0.5,
            [
                Screw(1, 0.05, 0.15),
                Screw(2, 0.05, 0.15, required: false),
                Screw(3, null, null, hole: false),
                Screw(4, 0.05, 0.15),
            ]
        );
        Assert.Equal(["H1", "H4"], told.Select(m => m.Id).Order());
        var sure = told.Select(m => Math.Abs(m.ChanceThen!.Value - 0.5)).ToList();
        Assert.Equal(sure.OrderDescending(), sure);
        // as one draws with that hole held
        var laid = Laying.Best(Board, Sample.Block(), new());
        Assert.All(
            told,
            m => Assert.Equal(SeatingChance.Compute(Board, laid.Alignment, laid.Loose, 1, m.Id), m.ChanceThen)
        );
    }

    [Fact]
    public void A_hole_is_told_with_what_it_has_to_spare_or_by_how_much_it_is_past()
    {
        string Text(double? miss, double? slack) => For(0.4, [Screw(1, miss, slack)]).Single().Text;
        var then = For(0.4, [Screw(1, 0.05, 0.15)]).Single().ChanceThen!.Value * 100;
        Assert.Equal(
            FormattableString.Invariant(
                $"Hole H1: 0.10 mm to spare at ±0.18. Where it was seen, the chance goes from 40 to {then:0} %."
            ),
            Text(0.05, 0.15)
        );
        Assert.StartsWith("Hole H1: 0.00 mm to spare", Text(0.15, 0.15), StringComparison.Ordinal);
        Assert.StartsWith("Hole H1: 0.15 mm to spare", Text(null, 0.15), StringComparison.Ordinal);
        Assert.Equal(
            FormattableString.Invariant(
                $"Hole H1 is 0.25 mm past its slack. If it is truly there, the chance goes from 40 to {then:0} %."
            ),
            Text(0.4, 0.15)
        );
        Assert.StartsWith("Hole H1 is 0.40 mm past", Text(0.4, null), StringComparison.Ordinal);
    }

    [Fact]
    public void Heights_with_less_room_than_three_tenths_or_than_they_are_known_to_come_first_two_at_most()
    {
        PartMargin Margin(string part, double mm) => new(part, mm, CeilingRegion.Base);
        string[] Heights(params PartMargin[] margins) =>
            [.. For(0.99, margins: margins).Select(m => $"{m.What} {m.Id}")];
        Assert.Equal(["height C1"], Heights(Margin("C1", 0.29)));
        Assert.Equal(["height C1"], Heights(Margin("C1", -0.29)));
        Assert.Empty(Heights(Margin("C1", 0.31), Margin("C2", -0.31), Margin("Z9", 0)));
        Assert.Equal(["height C1", "height C2"], Heights(Margin("C1", 0.1), Margin("C2", 0.2), Margin("C3", 0.25)));
        var both = For(0.5, margins: [Margin("C1", 0.1)]);
        Assert.Equal(["height", "hole", "hole", "hole"], both.Select(m => m.What));
        Assert.Equal("Height of C1: 0.10 mm of room, known to ±0.05. Put the caliper on it.", both[0].Text);
        Assert.Null(both[0].ChanceThen);
        var rough = Board with
        {
            Parts = [.. Board.Parts.Select(p => p.Id == "C1" ? p with { HeightTolMm = 0.5 } : p)],
        };
        Assert.Single(For(0.99, margins: [Margin("C1", 0.45)], board: rough));
        Assert.Empty(For(0.99, margins: [Margin("C1", 0.55)], board: rough));
    }
}
