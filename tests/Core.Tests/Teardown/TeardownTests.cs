using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Teardown;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class TeardownTests
{
    [Fact]
    public void The_ring_comes_last_and_the_lift_waits_for_everything()
    {
        var plan = TeardownPlanner.Plan(
            With(
                new()
                {
                    Pieces = [new("cooler", "cooler", Face.Front)],
                    Fasteners =
                    [
                        Group("R", "T6", Face.Back, 4, "cooler") with
                        {
                            Ring = "retention",
                        },
                        Group("P", "T6", Face.Back, 6, "cooler"),
                    ],
                    Leads = [new("W", "fan", ["cooler", "board"], "squeeze", 30, Face.Front)],
                }
            )
        );
        string[] order = [.. plan.Steps.Select(s => s.Target)];
        Assert.True(Array.IndexOf(order, "P") < Array.IndexOf(order, "R"));
        Assert.Equal("cooler", order[^1]);
        Assert.Equal(new HashSet<string> { "R", "P", "W" }, plan.Steps[^1].Locks.ToHashSet());
        Assert.Equal(1, plan.Flips);
        Assert.Equal(0, plan.DriverChanges);
    }

    [Fact]
    public void The_assembly_may_say_that_the_ring_comes_first()
    {
        var plan = TeardownPlanner.Plan(
            With(
                new()
                {
                    Pieces = [new("cooler", "cooler", Face.Front)],
                    Fasteners =
                    [
                        Group("P", "T6", Face.Back, 6, "cooler"),
                        Group("R", "NUT4", Face.Back, 4, "cooler") with
                        {
                            Ring = "retention",
                        },
                    ],
                    After = [new("R", "P")],
                }
            )
        );
        Assert.Equal(["R", "P", "cooler"], plan.Steps.Select(s => s.Target));
    }

    [Fact]
    public void Two_lengths_never_share_a_cell()
    {
        var plan = TeardownPlanner.Plan(
            With(
                new()
                {
                    Pieces = [new("cooler", "cooler", Face.Front)],
                    Fasteners =
                    [
                        Group("A", "PH1", Face.Back, 4, "cooler") with
                        {
                            LengthMm = 5,
                        },
                        Group("B", "PH1", Face.Back, 4, "cooler") with
                        {
                            LengthMm = 6,
                        },
                        Group("C", "PH1", Face.Back, 2, "cooler") with
                        {
                            LengthMm = 5,
                        },
                    ],
                }
            )
        );
        Assert.Equal(2, plan.Tray.Count);
        Assert.Equal(6, plan.Tray.Single(t => t.LengthMm == 5).Count);
    }

    [Fact]
    public void Restoring_is_the_reverse()
    {
        var plan = TeardownPlanner.Plan(Random(new NormalDraws(5), 5));
        Assert.Equal(plan.Steps.Select(s => s.Target).Reverse(), plan.Restore.Select(r => r.Target));
    }

    [Fact]
    public void Screws_that_wait_for_each_other_are_named()
    {
        var e = Assert.Throws<InputException>(() =>
            TeardownPlanner.Plan(
                With(
                    new()
                    {
                        Pieces = [new("a", "a", Face.Front), new("b", "b", Face.Front)],
                        Fasteners =
                        [
                            Group("F1", "T6", Face.Back, 1, "a") with
                            {
                                HiddenBy = "b",
                            },
                            Group("F2", "T6", Face.Back, 1, "b") with
                            {
                                HiddenBy = "a",
                            },
                        ],
                    }
                )
            )
        );
        Assert.Contains("F1", e.Message, StringComparison.Ordinal);
        Assert.Contains("F2", e.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Ten_thousand_random_assemblies_keep_every_precedence()
    {
        var draws = new NormalDraws(11);
        for (var i = 0; i < 10_000; i++)
        {
            var board = Random(draws, 2 + i % 11);
            var plan = TeardownPlanner.Plan(board);
            Assert.Null(Violation(board.Assembly!, [.. plan.Steps.Select(s => s.Target)]));
            Assert.Equal(
                Cost(board.Assembly!, [.. plan.Steps.Select(s => s.Target)]),
                (plan.Flips, plan.DriverChanges)
            );
        }
    }

    [Fact]
    public void Small_assemblies_have_the_fewest_flips_then_driver_changes()
    {
        var draws = new NormalDraws(23);
        for (var i = 0; i < 150; i++)
        {
            var board = Random(draws, 3 + i % 4);
            var plan = TeardownPlanner.Plan(board);
            Assert.True(plan.Proven);
            Assert.Equal(Exhaustive(board.Assembly!), (plan.Flips, plan.DriverChanges));
        }
    }

    [Fact]
    public void Search_and_beam_each_find_the_best_order_without_the_other()
    {
        var draws = new NormalDraws(31);
        for (var i = 0; i < 60; i++)
        {
            var assembly = Random(draws, 3 + i % 4).Assembly!;
            var graph = AssemblyGraph.Create(assembly);
            var best = Exhaustive(assembly);
            List<string> Ids((List<int> Order, bool Proven) found) =>
                [.. found.Order.Select(a => graph.Acts[a].Target)];
            // one order carried on at a time is seldom the best: the search mends it
            var searched = new OrderSearch(graph, beamWidth: 1).Solve(default);
            Assert.True(searched.Proven);
            Assert.Null(Violation(assembly, Ids(searched)));
            Assert.Equal(best, Cost(assembly, Ids(searched)));
            // no state looked at: the beam's order stands unproven
            var carried = new OrderSearch(graph, budget: 0).Solve(default);
            Assert.False(carried.Proven);
            Assert.Equal(best, Cost(assembly, Ids(carried)));
            var narrow = new OrderSearch(graph, budget: 0, beamWidth: 1).Solve(default);
            Assert.Null(Violation(assembly, Ids(narrow)));
            Assert.True(Cost(assembly, Ids(narrow)).CompareTo(best) >= 0);
        }
    }

    [Fact]
    public void What_is_left_to_pay_at_least_is_a_flip_and_every_driver_not_in_hand()
    {
        var draws = new NormalDraws(48);
        for (var i = 0; i < 200; i++)
        {
            var graph = AssemblyGraph.Create(Random(draws, 3 + i % 20).Assembly!);
            var search = new OrderSearch(graph);
            string[] drivers = [.. graph.Acts.Select(a => a.Driver).OfType<string>().Distinct()];
            var keep = draws.Uniform();
            var done = UInt128.Zero;
            for (var k = 0; k < graph.Acts.Count; k++)
                if (draws.Uniform() > keep)
                    done |= UInt128.One << k;
            var open = graph.Acts.Where((_, k) => (done >> k & 1) == 0).ToList();
            for (var face = -1; face < 2; face++)
            for (var hand = -1; hand < drivers.Length; hand++)
            {
                var flips =
                    face < 0 ? open.Select(a => a.Face).Distinct().Count() == 2 : open.Exists(a => (int)a.Face != face);
                // the first driver is taken up before anything begins
                var others = open.Select(a => a.Driver)
                    .OfType<string>()
                    .Distinct()
                    .Count(d => hand < 0 || d != drivers[hand]);
                var changes = hand < 0 ? Math.Max(0, others - 1) : others;
                Assert.Equal((flips ? OrderSearch.FlipCost : 0) + changes, search.MinLeft(done, face, hand));
            }
        }
    }

    [Fact]
    public void However_few_orders_are_carried_on_a_legal_one_comes_out()
    {
        var draws = new NormalDraws(47);
        for (var i = 0; i < 300; i++)
        {
            var assembly = Random(draws, 8 + i % 25).Assembly!;
            var graph = AssemblyGraph.Create(assembly);
            var (order, _) = new OrderSearch(graph, budget: 0, beamWidth: 1 + i % 3).Solve(default);
            Assert.Null(Violation(assembly, [.. order.Select(a => graph.Acts[a].Target)]));
        }
    }

    [Fact]
    public void A_search_that_is_stopped_stops()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        var board = Random(new NormalDraws(99), 40);
        Assert.Throws<OperationCanceledException>(() => TeardownPlanner.Plan(board, cancel: stop.Token));
    }

    [Fact]
    public void Forty_groups_are_ordered_exactly()
    {
        var plan = TeardownPlanner.Plan(Random(new NormalDraws(99), 40));
        Assert.True(plan.Proven);
    }

    [Theory]
    [InlineData(42, 1)]
    [InlineData(60, 2)]
    [InlineData(75, 3)]
    public void Many_groups_are_ordered_legally_and_no_worse_than_by_the_nearest_choice(int groups, int seed)
    {
        var board = Random(new NormalDraws((ulong)seed), groups);
        var plan = TeardownPlanner.Plan(board);
        List<string> order = [.. plan.Steps.Select(s => s.Target)];
        Assert.Null(Violation(board.Assembly!, order));
        Assert.Equal(Cost(board.Assembly!, order), (plan.Flips, plan.DriverChanges));
        // each time the next legal act that costs least, looked at by itself
        var left = order.ToHashSet();
        List<string> nearest = [];
        while (left.Count > 0)
        {
            var legal = left.Where(id =>
                Violation(board.Assembly!, [.. nearest, id, .. order.Where(o => left.Contains(o) && o != id)]) is null
            );
            var next = legal.MinBy(id => Cost(board.Assembly!, [.. nearest, id]))!;
            nearest.Add(next);
            left.Remove(next);
        }
        Assert.True(Cost(board.Assembly!, order).CompareTo(Cost(board.Assembly!, nearest)) <= 0);
    }

    private static IReadOnlyList<InputFault> Faults(Assembly assembly) =>
        Assert.Throws<InputException>(() => TeardownPlanner.Plan(With(assembly))).Faults;

    [Fact]
    public void A_name_that_leads_nowhere_is_pointed_at_where_it_stands()
    {
        var faults = Faults(
            new()
            {
                Pieces = [new("frame", "frame", Face.Back) { Stays = true }, new("cooler", "cooler", Face.Front)],
                Fasteners =
                [
                    // stays in with its frame: nothing of it is asked
                    Group("F0", "T6", Face.Back, 1, "frame") with
                    {
                        HiddenBy = "nobody",
                    },
                    Group("F1", "T6", Face.Back, 1, "cooler") with
                    {
                        HiddenBy = "lid",
                    },
                    Group("F2", "T6", Face.Back, 1, "shroud"),
                ],
                Leads =
                [
                    new("W0", "fan", ["cooler", "board"], "squeeze", 60, Face.Front, "hood"),
                    new("W1", "fan", ["fin", "board"], "squeeze", 60, Face.Front),
                ],
                After = [new("cooler", "F9"), new("F8", "cooler"), new("F1", "cooler")],
            }
        );
        Assert.Equal(
            [
                ("board/assembly/fasteners/1/hiddenBy", "lid"),
                ("board/assembly/fasteners/2/joins", "shroud"),
                ("board/assembly/leads/0/hiddenBy", "hood"),
                ("board/assembly/leads/1/between", "fin"),
                ("board/assembly/after/0", "F9"),
                ("board/assembly/after/1", "F8"),
            ],
            faults.Select(f => (f.Field, f.Message.Split('"')[1]))
        );
    }

    [Fact]
    public void A_hundred_and_twenty_eight_acts_are_planned_and_one_more_is_not()
    {
        Assembly Of(int groups) =>
            new()
            {
                Pieces = [new("cooler", "cooler", Face.Front)],
                Fasteners = [.. Enumerable.Range(0, groups).Select(i => Group($"F{i}", "T6", Face.Back, 1, "cooler"))],
            };
        Assert.Equal(TeardownPlanner.MaxActs, TeardownPlanner.Plan(With(Of(127))).Steps.Count);
        Assert.StartsWith("129 ", Assert.Single(Faults(Of(128))).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_board_without_an_assembly_can_not_be_planned() =>
        Assert.Equal(
            "board/assembly",
            Assert.Throws<InputException>(() => TeardownPlanner.Plan(Sample.Board())).Faults[0].Field
        );

    [Fact]
    public void A_ring_waits_for_its_peers_on_the_same_piece_only()
    {
        var plan = TeardownPlanner.Plan(
            With(
                new()
                {
                    Pieces = [new("cooler", "cooler", Face.Front), new("plate", "plate", Face.Back)],
                    Fasteners =
                    [
                        Group("R", "T6", Face.Back, 4, "cooler") with
                        {
                            Ring = "retention",
                        },
                        Group("P", "PH1", Face.Back, 2, "plate") with
                        {
                            HiddenBy = "cooler",
                        },
                    ],
                }
            )
        );
        Assert.Equal(["R", "cooler", "P", "plate"], plan.Steps.Select(s => s.Target));
        // from behind, the cooler from the front, from behind again
        Assert.Equal((2, 1), (plan.Flips, plan.DriverChanges));
    }

    [Fact]
    public void Of_two_ways_the_one_with_fewer_flips_is_taken_and_then_the_one_with_fewer_drivers()
    {
        // three drivers on each face: all of one face before the other, each driver once a face and the last one kept
        var plan = TeardownPlanner.Plan(
            With(
                new()
                {
                    Pieces = [new("a", "a", Face.Front), new("b", "b", Face.Back)],
                    Fasteners =
                    [
                        .. new[] { "T6", "PH1", "PH0" }.SelectMany(d =>
                            new[] { Group($"f-{d}", d, Face.Front, 1, "b"), Group($"b-{d}", d, Face.Back, 1, "a") }
                        ),
                    ],
                }
            )
        );
        // the pieces lie on the other face than their screws
        Assert.Equal((2, 4), (plan.Flips, plan.DriverChanges));
        Assert.True(plan.Proven);
    }

    private static FastenerGroup Group(string id, string driver, Face face, int count, params string[] joins) =>
        new()
        {
            Id = id,
            Driver = driver,
            Face = face,
            Count = count,
            Joins = [.. joins, "board"],
        };

    private static Board With(Assembly assembly) => Sample.Board() with { Assembly = assembly };

    private static Board Random(NormalDraws draws, int groups)
    {
        int Pick(int n) => (int)(draws.Uniform() * n);
        string[] drivers = ["T6", "PH1", "PH0", "NUT4"];
        var pieces = Enumerable
            .Range(0, 1 + groups / 3)
            .Select(i => new Piece($"p{i}", $"piece {i}", (Face)Pick(2)))
            .ToList();
        // covers always have a lower number than what they hide, so that no circle can arise
        var fasteners = Enumerable
            .Range(0, groups)
            .Select(i =>
            {
                var piece = Pick(pieces.Count);
                return Group($"f{i}", drivers[Pick(4)], (Face)Pick(2), 1 + Pick(4), pieces[piece].Id) with
                {
                    HiddenBy = piece > 0 && Pick(3) == 0 ? pieces[Pick(piece)].Id : null,
                    Ring = Pick(6) == 0 ? "retention" : null,
                };
            })
            .ToList();
        var leads = Enumerable
            .Range(0, Pick(3))
            .Select(i => new Lead(
                $"w{i}",
                "lead",
                [pieces[Pick(pieces.Count)].Id, "board"],
                "straight",
                20,
                (Face)Pick(2)
            ))
            .ToList();
        return With(
            new()
            {
                Pieces = pieces,
                Fasteners = fasteners,
                Leads = leads,
            }
        );
    }

    /// <summary>Written apart from the planner: null when the order is legal.</summary>
    private static string? Violation(Assembly a, List<string> order)
    {
        int At(string id) => order.IndexOf(id);
        if (
            order.Count != a.Fasteners.Count + a.Leads.Count + a.Pieces.Count
            || order.Distinct().Count() != order.Count
        )
            return "not every act once";
        foreach (var f in a.Fasteners)
        {
            if (f.HiddenBy is { } cover && At(cover) > At(f.Id))
                return $"{f.Id} before {cover}";
            foreach (var p in f.Joins.Where(p => p != "board"))
                if (At(f.Id) > At(p))
                    return $"{p} lifted before {f.Id}";
        }
        foreach (var l in a.Leads)
        foreach (var p in l.Between.Where(p => p != "board"))
            if (At(l.Id) > At(p))
                return $"{p} lifted before {l.Id}";
        foreach (var ring in a.Fasteners.Where(f => f.Ring is not null))
        foreach (
            var peer in a.Fasteners.Where(f =>
                f.Ring is null && f.Joins.Any(j => j != "board" && ring.Joins.Contains(j))
            )
        )
            if (At(ring.Id) < At(peer.Id) && !Needs(a, peer.Id, ring.Id, []))
                return $"ring {ring.Id} before {peer.Id}";
        return null;
    }

    /// <summary>Whether one act can only come after another by cover, joins and rings.</summary>
    private static bool Needs(Assembly a, string id, string before, HashSet<string> seen)
    {
        if (id == before)
            return true;
        if (!seen.Add(id))
            return false;
        IEnumerable<string> first = a.Fasteners.FirstOrDefault(f => f.Id == id) is { } group
            ? (group.HiddenBy is { } c ? [c] : [])
            : a
                .Fasteners.Where(f => f.Joins.Contains(id))
                .Select(f => f.Id)
                .Concat(a.Leads.Where(l => l.Between.Contains(id)).Select(l => l.Id));
        return first.Any(x => Needs(a, x, before, seen));
    }

    private static (int, int) Cost(Assembly a, List<string> order)
    {
        int flips = 0,
            changes = 0;
        Face? face = null;
        string? driver = null;
        foreach (var id in order)
        {
            var f = a.Fasteners.FirstOrDefault(x => x.Id == id);
            var here = f?.Face ?? a.Leads.FirstOrDefault(x => x.Id == id)?.Face ?? a.Pieces.First(x => x.Id == id).Face;
            if (face is { } was && was != here)
                flips++;
            face = here;
            if (f is null)
                continue;
            if (driver is not null && driver != f.Driver)
                changes++;
            driver = f.Driver;
        }
        return (flips, changes);
    }

    private static (int, int) Exhaustive(Assembly a)
    {
        List<string> all =
        [
            .. a.Fasteners.Select(f => f.Id),
            .. a.Leads.Select(l => l.Id),
            .. a.Pieces.Select(p => p.Id),
        ];
        var best = (int.MaxValue, int.MaxValue);
        var order = new List<string>();
        void Extend()
        {
            if (order.Count == all.Count)
            {
                if (Violation(a, order) is null)
                {
                    var c = Cost(a, order);
                    if (c.CompareTo(best) < 0)
                        best = c;
                }
                return;
            }
            if (Cost(a, order).CompareTo(best) >= 0)
                return;
            foreach (var id in all)
            {
                if (order.Contains(id) || !MayFollow(id))
                    continue;
                order.Add(id);
                Extend();
                order.RemoveAt(order.Count - 1);
            }
        }
        // only what is surely illegal is cut off; rings are judged on whole orders
        bool MayFollow(string id) =>
            a.Fasteners.FirstOrDefault(f => f.Id == id) is { } g
                ? g.HiddenBy is null || order.Contains(g.HiddenBy)
                : a.Pieces.All(p => p.Id != id)
                    || a.Fasteners.Where(f => f.Joins.Contains(id)).All(f => order.Contains(f.Id))
                        && a.Leads.Where(l => l.Between.Contains(id)).All(l => order.Contains(l.Id));
        Extend();
        return best;
    }
}
