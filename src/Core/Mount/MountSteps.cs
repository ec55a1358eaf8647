using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount.Mountings;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>Lower, start the screws, turn by turn to home, back plate, bracket, plugs: pair by pair.</summary>
internal static class MountSteps
{
    public static StationPlan Create(PlanContext context, EarlierResults earlier, IReadOnlyList<PairMount> mounts)
    {
        var (order, ways, seats) = (context.Order, context.Ways, earlier.Seats());
        var (match, pads) = (earlier.Get<MatchResult>(), earlier.Get<PadsResult>());
        if (mounts.Count == 0)
            return new(Station.Mount, $"waits for a block", true, []);
        var steps = new List<WorkStep>();
        string? turned = null;
        var joined = new Dictionary<string, List<IReadOnlyList<WorkStep>>>();
        foreach (var (fit, on) in match.Laid())
        {
            var pair = order.Pairs.First(p => p.Key == fit.Key);
            if (fit.On[0].Board == on.Board)
                steps.AddRange([
                    .. FittedAgain
                        .Before(order, match, earlier.Get<TeardownResult>(), pair)
                        .Where(s => !steps.Exists(x => x.Id == s.Id)),
                    .. Bridging.Before(order, pair),
                ]);
            var mount = mounts.First(m => m.Pair == fit.Key && m.Board == on.Board);
            var mounting = MountingChoice.Create(context, earlier, on, mount);
            turned ??= mounting.Turned.ToLowerInvariant();
            List<WorkStep> done = [.. Bridging.Sealed(order, pair, mounting.Steps())];
            var together = Bridging.With(order, match, pair);
            if (together.Count > 1)
            {
                if (!joined.TryGetValue(together[0].Key, out var members))
                    joined[together[0].Key] = members = [];
                members.Add(done);
                if (pair.Key != together[^1].Key)
                    continue;
                steps.AddRange(Bridging.AsOne(order, members));
                steps.AddRange(together.SelectMany(p => Finish(order, p)));
                continue;
            }
            steps.AddRange(done);
            if (fit.On[^1].Board == on.Board && pair.Block.Carriers.Count == 0)
                steps.AddRange([.. Bridging.After(order, pair), .. Finish(order, pair)]);
        }
        steps.AddRange(MemoryBridge.Steps(order, ways, pads.Pieces));
        steps.AddRange(order.Boxes.Where(p => p.Block.Carriers.Count > 0).SelectMany(p => Finish(order, p)));
        steps.AddRange(Bridging.Steps(order));
        steps.AddRange(SinkSteps.Create(order, match));
        steps.AddRange(FittedAgain.Steps(order, match, earlier.Get<TeardownResult>()));
        steps.AddRange(MachineSteps.Steps(order, match));
        foreach (var seat in ways.Closing == Closing.Tray ? seats : [])
            steps.AddRange(SocketMounting.Close(order, seat));
        var screws =
            match.Laid().Sum(l => MountScrews.Split(l.On.Laid.Block, ways).First.Count) + MemoryBridge.Bolts(order);
        var pace = mounts.Select(m => m.Tightening).OfType<TighteningResult>().MinBy(t => t.TakenTurns)?.Pace;
        var each = pace is null ? "" : $", {pace}";
        var named = seats.Count == mounts.Count && seats.Count > 0 ? turned : "screw";
        var strips = mounts.Any(m => m.Tightening?.Strips is not null);
        return new(
            Station.Mount,
            strips ? (Message)$"screws strip first" : (Message)$"{screws} {named}s{each}",
            strips,
            steps
        );
    }

    /// <summary>What is done once for the block, however many boards it lies on.</summary>
    private static IEnumerable<WorkStep> Finish(WorkOrder order, Pair pair)
    {
        var block = pair.Block;
        var scope = order.ScopeOf(pair);
        var boards = pair.BoardKeys(order);
        var card = boards.Count > 0 ? boards[0] : null;
        if (block.BracketSlots is { } slots && card is not null && order.Find(card)!.Board.Slots is not null)
            yield return new()
            {
                Id = new(Station.Mount, scope, "bracket"),
                Kind = StepKind.Fit,
                Board = card,
                Pair = pair.Key,
                Done = MountStepsWords.BracketOn,
                Title = MountStepsWords.FitSlotBracket(slots),
            };
        if (OpenPorts.Used(order, pair) is { Count: > 0 } used)
            yield return Fittings(order, pair, card, used);
        var open = OpenPorts.Plugged(order, pair);
        if (open.Count > 0)
            yield return new()
            {
                Id = new(Station.Mount, scope, "plugs"),
                Kind = StepKind.Plug,
                Board = card,
                Pair = pair.Key,
                Done = MountStepsWords.Plugged(HowMany.Count(open.Count, "port")),
                Title = MountStepsWords.PlugOf(open.Count == 1 ? "port" : "ports", Names(open), order.Name(pair)),
                Detail = MountStepsWords.NothingIsJoinedToThem,
                Count = open.Count,
                Counted = CountOf.Ports,
                Targets = [.. open.Select(p => p.Id)],
            };
        if (block.Headers.Count > 0)
            yield return new()
            {
                Id = new(Station.Mount, scope, "headers"),
                Kind = StepKind.Connect,
                Board = card,
                Pair = pair.Key,
                Done = MountStepsWords.LeadPlugged,
                Title = MountStepsWords.PlugLeadPolarityChecked(string.Join(" and ", block.Headers)),
                Caution = MountStepsWords.ReversedPlugDestroysStrip,
            };
    }

    private static WorkStep Fittings(WorkOrder order, Pair pair, string? card, IReadOnlyList<Port> used)
    {
        var threads = used.Select(p => p.Thread).Distinct().ToList();
        return new()
        {
            Id = new(Station.Mount, order.ScopeOf(pair), "fittings"),
            Kind = StepKind.Plug,
            Board = card,
            Pair = pair.Key,
            Done = $"{HowMany.Count(used.Count, "fitting")} in",
            Title = MountStepsWords.ScrewFittingInto(used.Count == 1 ? "port" : "ports", Names(used), order.Name(pair)),
            Detail = MountStepsWords.ORingWetted(string.Join(" and ", threads), InAndOut(used)),
            Caution = MountStepsWords.FittingStartedCrookedCutsThread,
            Feel = MountStepsWords.ItTurnsInByHand,
            Count = used.Count,
            Counted = CountOf.Ports,
            Targets = [.. used.Select(p => p.Id)],
            Acts = [.. used.Select(p => new Bench.Act(Bench.Verb.Fit, new(Bench.ThingKind.Fitting, pair.Key, p.Id)))],
        };
    }

    private static string Names(IReadOnlyList<Port> ports) => string.Join(" and ", ports.Select(p => p.Id));

    /// <summary>Which of two ports coolant goes in by, where the block says.</summary>
    private static string InAndOut(IReadOnlyList<Port> used) =>
        used.FirstOrDefault(p => p.Role is "in" or "inlet") is { } inlet && used.Count > 1
            ? MountStepsWords.CoolantGoesIn(inlet.Id)
            : "";
}
