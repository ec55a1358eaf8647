using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Back;
using FaithfulBracket.Core.Plans.Walk;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Every plan of the demo's boards and blocks walked from the stock state to a closed one, and plans that lack an act.</summary>
public class BenchWalkTests
{
    private static (Scene Scene, List<WalkStep> Steps, JobPlan Plan) Plan(
        WorkOrder order,
        params (string, string)[] ways
    )
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = order,
                Drawer = new()
                {
                    Materials = [Sample.Soft with { Id = "soft-3" }, Sample.Soft with { Id = "firm-6" }],
                    Pads = [new("s", "soft-3", 1, 300, 300, 4, false)],
                    Pastes = [new("t", Sample.Grey, 5, 24)],
                },
                Ways = ways.ToDictionary(w => w.Item1, w => w.Item2),
            }
        );
        var scene = BenchScene.Create(order, plan);
        return (scene, [.. plan.Steps.Select(s => new WalkStep(s.Acts, s.Up))], plan);
    }

    private static Contradiction? Walk(Scene scene, IReadOnlyList<WalkStep> steps) =>
        BenchWalk.Run(scene, BenchState.Create(scene), steps).Contradiction;

    private static readonly WorkOrder Plain = WorkOrder.Plain(
        Demo.Board("tern-460-r2"),
        Demo.Block("brineworks-full-460")
    );

    public static TheoryData<string, string> Pairs =>
        new()
        {
            { "tern-460-r2", "brineworks-full-460" },
            { "skua-380-r1", "lathe-loch-core-u" },
            { "tern-520-m-r1", "brineworks-full-520" },
            { "skua-pro-r2", "undertow-pro-380" },
            { "gannet-duo-r1", "copperwell-broad-duo" },
            { "lantern-l2", "undertow-shell-l" },
        };

    [Theory]
    [MemberData(nameof(Pairs))]
    public void A_card_is_walked_from_stock_to_closed_whatever_way_is_chosen(string board, string block)
    {
        var order = WorkOrder.Plain(Demo.Board(board), Demo.Block(block));
        foreach (
            var ways in (ReadOnlySpan<(string, string)[]>)
                [
                    [],
                    [("who-moves", "block")],
                    [("films", "both")],
                    [("cut", "strips")],
                    [("back-plate-screws", "all")],
                    [("back-plate-screws", "first"), ("loosening", "core-outward")],
                ]
        )
        {
            var (scene, steps, plan) = Plan(order, ways);
            Assert.Null(Walk(scene, steps));
            Assert.Null(DrawnOrderTests.LaidOnItsFace(scene, plan.Steps));
            // the front is cleaned whole before the board is turned over for its back
            var cleaned = plan.Prep.Sheet.Steps.Where(s => s.Kind == StepKind.Clean).Select(s => s.Face).ToList();
            Assert.Equal(cleaned.Order(), cleaned);
            // nothing waits for what comes after it
            var done = new HashSet<StepId>();
            foreach (var step in plan.Steps)
            {
                Assert.Subset(done, step.Locks.ToHashSet());
                done.Add(step.Id);
            }
        }
    }

    [Theory]
    [MemberData(nameof(Pairs))]
    public void The_way_back_is_walked_from_wherever_the_job_stands(string board, string block)
    {
        var order = WorkOrder.Plain(Demo.Board(board), Demo.Block(block));
        var (scene, _, plan) = Plan(order);
        foreach (var after in plan.Steps.Where(s => s.Acts.Count > 0))
        {
            List<WorkStep> done = [.. plan.Steps.TakeWhile(s => s.Id != after.Id), after];
            var back = BackPlan.Create(order, plan, scene, [], done);
            var (end, contradiction) = BenchWalk.Run(
                back.Scene,
                back.Start,
                [.. back.Steps.Select(s => new WalkStep(s.Acts, s.Up))]
            );
            Assert.Null(contradiction);
            // every stock piece, screw and lead is where it was
            foreach (var thing in scene.Things.Where(t => t.Id.Owner == "A" && Stock.Contains(t.Id.Kind)))
                Assert.Equal(thing.Start, end[thing.Id]);
            Assert.Equal(back.Steps.Count, back.Steps.Select(s => s.Id).Distinct().Count());
        }
    }

    private static readonly ThingKind[] Stock = [ThingKind.Piece, ThingKind.Screws, ThingKind.Lead];

    [Fact]
    public void What_cannot_go_back_is_named_and_what_is_kept_stays()
    {
        var (scene, _, plan) = Plan(Plain);
        var back = BackPlan.Create(Plain, plan, scene, [new("M1", 1.8, 1.6, 0)]);
        Assert.Equal(Verb.Drain, back.Steps.SelectMany(s => s.Acts).First().Do);
        Assert.Contains(back.Cannot, c => c is { Thing: { Kind: ThingKind.Pad, Key: "M1" }, Code: CannotCode.UsedUp });
        Assert.Contains(back.Cannot, c => c is { Thing.Kind: ThingKind.Screws, Code: CannotCode.Voided });
        Assert.Contains(
            back.Steps,
            s => s.Detail?.ToString().Contains("1.8 mm on M1", StringComparison.Ordinal) == true
        );
        // a fitting that stays in its block is not opened
        ThingId fitting = new(ThingKind.Fitting, "P", "A");
        var acts = BackPlan.Create(Plain, plan, scene, [], keep: [fitting]).Steps.SelectMany(s => s.Acts).ToList();
        Assert.DoesNotContain(acts, a => a.Thing == fitting);
        Assert.Contains(acts, a => a.Thing == fitting with { Key = "B" });
    }

    /// <summary>A step is granted when what it rests on is signed, and refused without any one of those.</summary>
    [Theory]
    [MemberData(nameof(Pairs))]
    public void Signed_is_what_the_bench_allows_and_nothing_else(string board, string block)
    {
        var order = WorkOrder.Plain(Demo.Board(board), Demo.Block(block));
        var (scene, steps, plan) = Plan(order);
        List<WorkStep> all = [.. plan.Steps];
        var index = all.Select((s, i) => (s.Id, i)).ToDictionary(x => x.Id, x => x.i);
        HashSet<int> Under(int i) => [.. all[i].Locks.Select(l => index[l]).SelectMany(k => Under(k).Append(k))];
        for (var i = 0; i < all.Count; i++)
        {
            var rests = Under(i);
            Assert.All(rests, k => Assert.True(k < i));
            // those alone make a bench on which its acts can be done, turns of the board aside
            List<Act> acts =
            [
                .. rests
                    .Append(i)
                    .Order()
                    .SelectMany(k => all[k].Acts)
                    .Where(a => a.Do is not (Verb.TurnOver or Verb.Hold)),
            ];
            var state = BenchState.Create(scene);
            foreach (var act in acts)
            {
                if (Needs.FirstUnmet(scene, state with { Up = state.Up.Clear() }, act) is { } unmet)
                    Assert.True(
                        unmet.Code is NeedCode.Powered || act.Do == Verb.PowerOff,
                        $"{all[i].Id}: {act.Do} {act.Thing} lacks {unmet.Code} {string.Join(", ", unmet.Things)}"
                    );
                state = BenchWalk.Apply(scene, state, act);
            }
        }
        // power waits for everything that was opened and for water
        var boot = Under(all.FindIndex(s => s.Kind == StepKind.Boot));
        Assert.Superset(
            all.Select((s, i) => (s, i))
                .Where(x => x.s.Kind is StepKind.Lower or StepKind.Turn or StepKind.LeakTest)
                .Select(x => x.i)
                .ToHashSet(),
            boot
        );
    }

    /// <summary>Acts whose lack nothing on the bench would show: they are looked at, not needed.</summary>
    private static bool Idle(Act act) =>
        act.Do is Verb.Look or Verb.Try or Verb.Measure or Verb.Hold or Verb.Photograph or Verb.Note;

    [Fact]
    public void A_walk_that_lacks_an_act_is_noticed_wherever_the_act_was_needed()
    {
        var (scene, steps, _) = Plan(Plain);
        var missed = new List<string>();
        for (var i = 0; i < steps.Count; i++)
        for (var k = 0; k < steps[i].Acts.Count; k++)
        {
            var act = steps[i].Acts[k];
            if (Idle(act))
                continue;
            List<WalkStep> less = [.. steps];
            less[i] = less[i] with { Acts = [.. less[i].Acts.Where((_, n) => n != k)] };
            if (Walk(scene, less) is null)
                missed.Add($"{i} {act.Do} {act.Thing}");
        }
        // a turn may be left out of several passes; water that is not bled and plates that are not looked at run all the same
        Assert.All(
            missed,
            m => Assert.Matches("(Turn screws|Bleed loop|Run power|PowerOff power|Plug lead:P|Store|Fit plug)", m)
        );
    }

    [Theory]
    [InlineData("unscrew", NeedCode.Held)]
    [InlineData("unplug", NeedCode.Tied)]
    [InlineData("clean", NeedCode.Dirty)]
    [InlineData("spread", NeedCode.Bare)]
    [InlineData("lay", NeedCode.Order)]
    [InlineData("peel-inner", NeedCode.FilmsOn)]
    [InlineData("peel-outer", NeedCode.FilmsOn)]
    [InlineData("turn-over", NeedCode.Reach)]
    [InlineData("start", NeedCode.Order)]
    [InlineData("fill", NeedCode.Order)]
    [InlineData("fasten", NeedCode.Order)]
    public void The_need_that_fails_names_what_is_missing(string verb, NeedCode code)
    {
        var (scene, steps, _) = Plan(Plain);
        // without any act of the kind the first one that needed it stops
        List<WalkStep> less =
        [
            .. steps.Select(s => s with { Acts = [.. s.Acts.Where(a => Kebab(a.Do) != verb)], Up = null }),
        ];
        var found = Walk(scene, less);
        Assert.Equal(code, found?.Unmet.Code);
        Assert.NotEmpty(found!.Unmet.Things);
    }

    private static string Kebab(Verb verb) =>
        System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(verb.ToString());

    [Fact]
    public void Acts_in_the_wrong_order_stop_at_the_first_that_cannot_be_done()
    {
        var (scene, steps, plan) = Plan(Plain);
        int Index(Func<WorkStep, bool> of) => plan.Steps.ToList().FindIndex(s => of(s));
        var lower = Index(s => s.Kind == StepKind.Lower);
        Contradiction Swapped(int a, int b)
        {
            List<WalkStep> swapped = [.. steps];
            (swapped[a], swapped[b]) = (swapped[b], swapped[a]);
            return Walk(scene, swapped)!;
        }
        // screws before the block is down
        Assert.Equal(NeedCode.Order, Swapped(lower, lower + 1).Unmet.Code);
        // pads before their faces are clean
        var clean = Index(s =>
            s.Kind == StepKind.Clean && s.Title.ToString().Contains("memory", StringComparison.Ordinal)
        );
        var lay = Index(s => s.Kind == StepKind.Lay);
        Assert.Equal(NeedCode.Order, Swapped(clean, lay).Unmet.Code);
        // something is unscrewed twice
        var first = Index(s => s.Kind == StepKind.Unscrew);
        List<WalkStep> twice = [.. steps];
        twice.Insert(first, twice[first]);
        Assert.Equal((first + 1, NeedCode.Already), (Walk(scene, twice)!.Step, Walk(scene, twice)!.Unmet.Code));
        // a thing of another card
        List<WalkStep> strange = [new([new(Verb.Lift, new(ThingKind.Piece, "A", "nothing-here"))])];
        Assert.Equal(NeedCode.NotThere, Walk(scene, strange)!.Unmet.Code);
        // a verb that is not done to such a thing
        List<WalkStep> odd = [new([new(Verb.Unplug, new(ThingKind.Screws, "A", "F1"))])];
        Assert.Equal(NeedCode.NotThere, Walk(scene, odd)!.Unmet.Code);
        // switched on, nothing is unscrewed
        List<WalkStep> live = [.. steps.Where(s => !s.Acts.Any(a => a.Do == Verb.PowerOff))];
        Assert.Equal(NeedCode.Powered, Walk(scene, live)!.Unmet.Code);
    }

    [Fact]
    public void What_is_opened_has_a_fate_and_a_lack_of_it_is_told_at_the_end()
    {
        var (scene, steps, plan) = Plan(Plain);
        var ends = LooseEnds.Find(plan.Steps);
        Assert.All(ends, e => Assert.NotNull(e.Fate));
        Assert.Contains(ends, e => e is { Thing.Kind: ThingKind.Screws, Fate: Fate.Kept });
        Assert.Contains(ends, e => e is { Thing.Kind: ThingKind.Film, Fate: Fate.Discarded });
        // what is open now: unscrewed, and not put away yet
        var signed = plan.Steps.TakeWhile(s => s.Kind != StepKind.Lift).Select(s => s.Id).ToHashSet();
        var now = LooseEnds.Open([.. plan.Steps], signed);
        Assert.Contains(now, o => o is { Title: "Take out 6 screws, group F1", Fate: Fate.Kept });
        Assert.Empty(LooseEnds.Open([.. plan.Steps], plan.Steps.Select(s => s.Id).ToHashSet()));
        Assert.Empty(LooseEnds.Open([.. plan.Steps], new HashSet<StepId>()));
        List<WalkStep> kept = [.. steps.Select(s => s with { Acts = [.. s.Acts.Where(a => a.Do != Verb.Store)] })];
        var open = Walk(scene, kept)!;
        Assert.Equal((steps.Count, NeedCode.LooseEnd), (open.Step, open.Unmet.Code));
        Assert.Contains(open.Unmet.Things, t => t.Kind == ThingKind.Piece);
    }

    [Fact]
    public void A_plain_cards_mount_is_at_most_eighteen_steps_and_each_turn_over_is_said_first()
    {
        var (_, _, plan) = Plan(Plain);
        Assert.InRange(plan.Mount.Sheet.Steps.Count, 5, 18);
        foreach (var step in plan.Steps.Where(s => s.Acts.Any(a => a.Do == Verb.TurnOver)))
        {
            Assert.Equal(Verb.TurnOver, step.Acts.First(a => a.Do is not (Verb.PeelOuter or Verb.Hold)).Do);
            Assert.StartsWith("Turn the board over", step.First, StringComparison.Ordinal);
            Assert.NotNull(step.Up);
        }
    }

    [Theory]
    [InlineData("power")]
    [InlineData("screws:A/F1")]
    [InlineData("screws:P/main/ring1/bp")]
    [InlineData("film:A/M1/inner")]
    [InlineData("pad:A/U1@back")]
    [InlineData("board:A")]
    public void Ids_of_things_are_read_as_they_are_written(string text)
    {
        Assert.True(ThingId.TryParse(text, out var id));
        Assert.Equal(text, id.ToString());
    }

    [Theory]
    [InlineData("")]
    [InlineData("screw:A/F1")]
    [InlineData("Screws:A/F1")]
    [InlineData("screws:")]
    [InlineData("screws:/F1")]
    [InlineData("screws:A/")]
    public void Other_texts_are_no_ids(string text) => Assert.False(ThingId.TryParse(text, out _));

    [Fact]
    public void A_ribbon_that_is_long_enough_may_stay_plugged_from_stock_to_closed_and_back()
    {
        var twin = WorkOrder.From(Demo.Card("petrel-twin"), [new("P", Demo.Block("undertow-clamp-petrel"))]);
        // 22.4 mm from front to front and 12 of slack, less 4 of plugs and 8 from each plug to the edge that both share
        Assert.Equal(22.4 + 12 - 4 - 8 - 8, RibbonStay.ApartMm(twin, twin.Ribbons[0])!.Value, 9);
        var (scene, steps, plan) = Plan(twin, ("ribbon", "stay"));
        Assert.Null(Walk(scene, steps));
        Assert.Contains(plan.Teardown.Sheet.Steps, s => s.Detail?.ToString().Contains("at most 14 mm") == true);
        Assert.Contains(plan.Mount.Sheet.Steps, s => s.Id.Target == "look-R1");
        Assert.DoesNotContain(
            plan.Steps.SelectMany(s => s.Acts),
            a => a.Thing.Kind == ThingKind.Ribbon && a.Do != Verb.Look
        );
        Assert.True(Plan(twin).Plan.Steps.Count() > plan.Steps.Count());
        var back = BackPlan.Create(twin, plan, scene, [], [.. plan.Steps]);
        Assert.Null(
            BenchWalk.Run(back.Scene, back.Start, [.. back.Steps.Select(s => new WalkStep(s.Acts, s.Up))]).Contradiction
        );
        // too short, of unknown slack, or between boards that do not face each other: nothing is asked
        foreach (var slack in (double?[])[7.5, null])
            Assert.Empty(RibbonStay.Possible(twin with { Ribbons = [twin.Ribbons[0] with { SlackMm = slack }] }));
        var stacked = twin.Pieces[1] with { Pose = twin.Pieces[1].Pose! with { Flipped = false } };
        Assert.Null(RibbonStay.ApartMm(twin with { Pieces = [twin.First, stacked] }, twin.Ribbons[0]));
        Assert.DoesNotContain(Schools.For(Plain), s => s.Id == "ribbon");
    }

    [Theory]
    // rigid: joined in the hand, then both come down as one; sealing: on the block that is home, under the other; sliding: last
    [InlineData(null, "join-BR1 lower-joined")]
    [InlineData(JoinKind.Sealing, "lower join-BR1 lower")]
    [InlineData(JoinKind.Sliding, "lower lower join-BR1")]
    public void A_bridging_fitting_joins_when_its_kind_says(JoinKind? kind, string order)
    {
        var span = Demo.Block("lathe-loch-span-a");
        var bridged = new WorkOrder
        {
            Pieces = [new("A", Demo.Board("bora-b3-r1"))],
            Pairs =
            [
                new("P", span with { Joins = [span.Joins[0] with { Kind = kind }] }),
                new("Q", Demo.Block("lathe-loch-span-b")),
            ],
        };
        var (scene, steps, plan) = Plan(bridged);
        Assert.Null(Walk(scene, steps));
        List<WorkStep> mount = [.. plan.Mount.Sheet.Steps];
        Assert.Equal(
            order,
            string.Join(' ', mount.Select(s => s.Id.Target).Where(t => t.StartsWith("join-") || t.StartsWith("lower")))
        );
        // the seal is turned with the screws of the block that comes down onto it, and only with those
        var turned = mount.Where(s => s.Detail?.ToString().Contains("seal of BR1", StringComparison.Ordinal) == true);
        Assert.All(turned, s => Assert.Equal((StepKind.Turn, "Q"), (s.Kind, s.Pair)));
        Assert.Equal(kind == JoinKind.Sealing, turned.Any());
        var back = BackPlan.Create(bridged, plan, scene, [], [.. plan.Steps]);
        Assert.Null(
            BenchWalk.Run(back.Scene, back.Start, [.. back.Steps.Select(s => new WalkStep(s.Acts, s.Up))]).Contradiction
        );
    }

    [Fact]
    public void A_daughter_card_goes_back_before_the_block_that_sits_on_it_and_everything_else_after()
    {
        var bora = Demo.Board("bora-b3-r1");
        WorkOrder With(IReadOnlyList<string>? carries) =>
            new()
            {
                Pieces =
                [
                    new(
                        "A",
                        bora with
                        {
                            Assembly = bora.Assembly! with
                            {
                                Pieces =
                                [
                                    .. bora.Assembly.Pieces.Select(p =>
                                        p.Id == "daughter" ? p with { Carries = carries } : p
                                    ),
                                ],
                            },
                        }
                    ),
                ],
                Pairs =
                [
                    new("P", Demo.Block("lathe-loch-span-a")),
                    new("Q", Demo.Block("lathe-loch-span-b")),
                    new("R", Demo.Block("copperwell-rung-68")),
                ],
            };
        foreach (
            var carries in (string[]?[])
                [
                    ["R"],
                    ["copperwell-rung-68"],
                ]
        )
        {
            var (scene, steps, plan) = Plan(With(carries));
            Assert.Null(Walk(scene, steps));
            var targets = plan.Mount.Sheet.Steps.Select(s => $"{s.Pair} {s.Id.Target}").ToList();
            Assert.InRange(
                targets.IndexOf(" again-daughter"),
                targets.IndexOf("P lower-joined") + 1,
                targets.IndexOf("R lower") - 1
            );
            Assert.Single(targets, t => t == " again-daughter");
            // without it the block has nothing to sit on
            var without = steps.Where((_, i) => plan.Steps.ElementAt(i).Id.Target != "again-daughter").ToList();
            Assert.Equal(NeedCode.Order, Walk(scene, without)!.Unmet.Code);
        }
        var after = Plan(With(null)).Plan.Mount.Sheet.Steps.Select(s => $"{s.Pair} {s.Id.Target}").ToList();
        Assert.True(after.IndexOf(" again-daughter") > after.IndexOf("R lower"));
    }

    [Theory]
    [InlineData(3, true)]
    [InlineData(300, false)]
    public void What_stands_taller_than_the_block_overhangs_its_support(double heightMm, bool told)
    {
        var block = Demo.Block("brineworks-full-460") with { HeightMm = heightMm };
        var order = WorkOrder.Plain(Demo.Board("tern-460-r2"), block);
        foreach (var (moves, overhangs) in (ValueTuple<string, bool>[])[("board", told), ("block", false)])
        {
            var lower = Plan(order, ("who-moves", moves)).Plan.Mount.Sheet.Steps.First(s => s.Kind == StepKind.Lower);
            Assert.Equal(overhangs, lower.Detail!.ToString().Contains("overhang", StringComparison.Ordinal));
        }
    }
}
