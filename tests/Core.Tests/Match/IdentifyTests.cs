using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Identify;
using FaithfulBracket.Perf;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class IdentifyTests
{
    private static readonly BoardFamilies Families = new(150, 4, 3, 1);
    private static readonly Board[] Boards = [.. Enumerable.Range(0, Families.Count).Select(Families.Make)];
    private static readonly TwinIndex Index = TwinIndex.Build([.. Boards.Select(b => (b.Id, Constellation.From(b)))]);

    private static IdentifyResult Search(Constellation seen, double sigma = 0.1) =>
        TwinSearch.Run(seen, sigma, [Index], id => Boards[BoardFamilies.NumberOf(id)], _ => []);

    [Fact]
    public void The_right_class_comes_first_with_a_third_missing_and_a_third_strangers()
    {
        var right = 0;
        for (var k = 0; k < 200; k++)
        {
            var r = new Random(k);
            var truth = r.Next(Boards.Length);
            var found = Search(BoardFamilies.Measure(Boards[truth], 0.1, 0.3, 0.3, r));
            if (
                found.Candidates.Count > 0
                && Families.ClassOf(BoardFamilies.NumberOf(found.Candidates[0].BoardId)) == Families.ClassOf(truth)
            )
                right++;
        }
        Assert.True(right >= 198, $"{right} of 200");
    }

    [Fact]
    public void The_placement_lays_what_was_seen_on_the_twin()
    {
        var board = Boards[77];
        var turn = new Placement(12.5, -40, 33);
        var seen = new Constellation([
            .. Constellation.From(board).Points.Select(p => p with { X = turn.Apply(p.At).X, Y = turn.Apply(p.At).Y }),
        ]);
        var first = Search(seen).Candidates[0];
        foreach (var (s, k) in seen.Points.Zip(Constellation.From(board).Points))
            Assert.True((first.Placement.Apply(s.At) - k.At).Length < 1e-3);
        Assert.Empty(first.DifferencesUnderBlock);
        Assert.True(first.Chance > 0.99);
    }

    [Fact]
    public void Boards_that_differ_only_beside_the_block_are_one_class()
    {
        var first = Search(Constellation.From(Boards[30])).Candidates[0];
        Assert.Equal(new[] { "b30", "b31", "b32" }, first.Twins.Append(first.BoardId).Order());
    }

    [Fact]
    public void A_board_of_no_family_is_nobodys_twin()
    {
        var strange = new BoardFamilies(1, 1, 1, 999).Make(0);
        var found = Search(BoardFamilies.Measure(strange, 0.1, 0.1, 0.1, new Random(5)));
        Assert.Empty(found.Candidates);
        Assert.True(found.NoneChance > 0.9);
    }

    [Fact]
    public void What_differs_is_told_apart_by_whether_the_block_is_over_it()
    {
        var board = Boards[0];
        var capacitor = board.Parts.First(p =>
            p.Kind == PartKind.Capacitor && p.X is > -20 and < 50 && Math.Abs(p.Y) < 30
        );
        var changed = board with
        {
            Parts =
            [
                .. board.Parts.Select(p => p.Id == capacitor.Id ? p with { HeightMm = p.HeightMm + 0.6 } : p),
                new Part
                {
                    Id = "J9",
                    Kind = PartKind.Connector,
                    X = 170,
                    Y = 0,
                    WidthMm = 5,
                    DepthMm = 5,
                    HeightMm = 5,
                },
            ],
        };
        var first = Search(Constellation.From(changed)).Candidates[0];
        Assert.Equal(["height"], first.DifferencesUnderBlock.Select(d => d.Code));
        Assert.Contains(capacitor.Id, first.DifferencesUnderBlock[0].Refs);
        Assert.Contains(first.OtherDifferences, d => d.Refs.Contains("J9"));
    }

    [Fact]
    public void Fewer_than_three_points_are_refused() =>
        Assert.Throws<InputException>(() => Search(new([new(0, 0, true), new(1, 0, true)])));
}
