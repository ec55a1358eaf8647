using CsCheck;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Pieces that come back, and pieces that stay.</summary>
public class ComesBackTests
{
    private const int Cases = 600;

    /// <summary>
    /// Pieces one on top of the other and beside each other; some return, some stay; screws hold each to what lies
    /// below.
    /// </summary>
    private static readonly Gen<Assembly> Assemblies = Gen.Select(
        Gen.Int[1, 7],
        Gen.Int[0, 1 << 20],
        (n, bits) =>
        {
            var rng = new Random(bits);
            var pieces = Enumerable
                .Range(0, n)
                .Select(i => new Piece($"p{i}", $"piece {i}", rng.Next(2) == 0 ? Face.Front : Face.Back)
                {
                    Returns = rng.Next(2) == 0,
                    Stays = rng.Next(6) == 0,
                })
                .Select(p => p.Stays ? p with { Returns = false } : p)
                .ToList();
            var screws = pieces
                .Select(
                    (p, i) =>
                        new FastenerGroup
                        {
                            Id = $"f{i}",
                            Driver = rng.Next(2) == 0 ? "T6" : "PH1",
                            Thread = "M2.5",
                            LengthMm = 4 + rng.Next(3),
                            Count = 1 + rng.Next(4),
                            Face = p.Face,
                            Joins = [p.Id, rng.Next(2) == 0 || i == 0 ? Assembly.BoardId : $"p{rng.Next(i)}"],
                            HiddenBy = i + 1 < n && rng.Next(3) == 0 ? $"p{i + 1 + rng.Next(n - i - 1)}" : null,
                        }
                )
                .ToList();
            var leads = pieces
                .Where(_ => rng.Next(3) == 0)
                .Select(p => new Lead($"w{p.Id}", "fan", [p.Id, Assembly.BoardId], "squeeze", 30, Face.Front)
                {
                    MovesTo = rng.Next(4) == 0 ? "block" : null,
                })
                .ToList();
            return new Assembly
            {
                Pieces = pieces,
                Fasteners = screws,
                Leads = leads,
            };
        }
    );

    [Fact]
    public void Every_piece_that_returns_is_there_at_the_end_in_an_order_the_assembly_allows() =>
        Assemblies.Sample(
            assembly =>
            {
                var board = Sample.Board() with { Assembly = assembly };
                TeardownPlan plan;
                try
                {
                    plan = TeardownPlanner.Plan(board);
                }
                catch (InputException)
                {
                    // pieces that wait for each other cannot come apart at all
                    return true;
                }
                var acts = ComesBack.Find(assembly, plan).Select(a => a.Step).ToList();
                var set = acts.Where(a => a.Action == RestoreAction.Set).Select(a => a.Target).ToHashSet();
                Assert.Equal(assembly.Pieces.Where(p => p.Returns).Select(p => p.Id).ToHashSet(), set);
                Assert.Equal(acts.Count, acts.Select(a => a.Target).Distinct().Count());
                // what stays is touched by no step
                var stays = assembly.Pieces.Where(p => p.Stays).Select(p => p.Id).ToHashSet();
                Assert.DoesNotContain(plan.Steps, s => stays.Contains(s.Target));
                int At(string id) => acts.FindIndex(a => a.Target == id);
                foreach (var f in assembly.Fasteners.Where(f => At(f.Id) >= 0))
                {
                    // a screw goes in once all it holds is there, and before what hides it
                    foreach (var p in f.Joins.Where(set.Contains))
                        Assert.True(At(p) < At(f.Id), $"{f.Id} before {p}");
                    if (f.HiddenBy is { } cover && set.Contains(cover))
                        Assert.True(At(f.Id) < At(cover), $"{f.Id} after {cover}");
                }
                foreach (var lead in assembly.Leads.Where(l => l.MovesTo is not null))
                    Assert.True(At(lead.Id) >= 0, $"{lead.Id} was not moved over");
                return true;
            },
            iter: Cases
        );

    [Fact]
    public void A_piece_that_stays_is_no_step_and_what_only_holds_it_stays_in()
    {
        var assembly = new Assembly
        {
            Pieces =
            [
                new("cooler", "cooler", Face.Front),
                new("plate", "stock back plate", Face.Back) { Stays = true },
            ],
            Fasteners =
            [
                Screws("F1", ["cooler", "plate", Assembly.BoardId]),
                Screws("F2", ["plate", Assembly.BoardId]),
            ],
        };
        var plan = TeardownPlanner.Plan(Sample.Board() with { Assembly = assembly });
        Assert.Equal(["F1", "cooler"], plan.Steps.Select(s => s.Target));
        Assert.Empty(ComesBack.Find(assembly, plan));
    }

    [Fact]
    public void A_power_lead_moves_over_and_its_bracket_takes_its_own_longer_screw()
    {
        var assembly = new Assembly
        {
            Pieces = [new("shroud", "shroud", Face.Front), new("clip", "lead bracket", Face.Front) { Returns = true }],
            Fasteners =
            [
                Screws("F1", ["shroud", Assembly.BoardId]),
                Screws("F2", ["clip", "shroud"]) with
                {
                    LengthMm = 9,
                    Count = 1,
                },
            ],
            Leads =
            [
                new("W1", "power", ["shroud", Assembly.BoardId], "squeeze", 60, Face.Front, "clip")
                {
                    MovesTo = "block",
                },
            ],
        };
        var plan = TeardownPlanner.Plan(Sample.Board() with { Assembly = assembly });
        var targets = plan.Steps.Select(s => s.Target).ToList();
        Assert.True(targets.IndexOf("clip") < targets.IndexOf("W1"), "the lead is hidden until its bracket is off");
        Assert.Equal(2, plan.Tray.Count);
        var acts = ComesBack.Find(assembly, plan);
        Assert.Equal(["W1", "clip", "F2"], acts.Select(a => a.Step.Target));
        Assert.Equal([true, false, true], acts.Select(a => a.IntoBlock));
    }

    private static FastenerGroup Screws(string id, string[] joins) =>
        new()
        {
            Id = id,
            Driver = "T6",
            Thread = "M2.5",
            LengthMm = 5,
            Count = 4,
            Face = Face.Back,
            Joins = joins,
        };

    [Theory]
    // a lead of what returns is plugged when both its ends are there
    [InlineData("clip", "board", true)]
    [InlineData("clip", "frame", true)]
    [InlineData("clip", "shroud", false)]
    [InlineData("shroud", "board", false)]
    public void A_lead_is_plugged_where_both_its_ends_are_there(string one, string other, bool plugged)
    {
        var assembly = new Assembly
        {
            Pieces =
            [
                new("shroud", "shroud", Face.Front),
                new("clip", "clip", Face.Front) { Returns = true },
                new("frame", "frame", Face.Front) { Returns = true },
            ],
            Leads = [new("W1", "fan", [one, other], "squeeze", 60, Face.Front)],
        };
        var acts = ComesBack.Find(assembly, TeardownPlanner.Plan(Sample.Board() with { Assembly = assembly }));
        Assert.Equal(plugged, acts.Any(a => a.Step.Target == "W1"));
        Assert.All(acts, a => Assert.False(a.IntoBlock));
        Assert.Equal(["clip", "frame"], acts.Select(a => a.Step.Target).Where(t => t != "W1").Order());
    }
}
