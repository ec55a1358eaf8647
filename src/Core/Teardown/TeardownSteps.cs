using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Teardown;

/// <summary>What is signed at Teardown: power off, then each group counted, each lead marked, each piece lifted.</summary>
public static class TeardownSteps
{
    public static StationPlan Of(JobPlan plan)
    {
        if (plan.Teardown is not { } teardown)
            return new(Station.Teardown, "no assembly described", true, []);
        var steps = new List<WorkStep>
        {
            new()
            {
                Id = "teardown.power",
                Station = Station.Teardown,
                Done = "Power is off",
                Title = "Power off, unplug, press the switch to drain",
                Detail = "Touch earthed metal or wear a corded wrist strap; a strap without a cord does nothing.",
                Caution = "Power supplies are never opened: that is licensed work.",
            },
        };
        steps.AddRange(teardown.Steps.Select(s => Step(s, teardown)));
        return new(
            Station.Teardown,
            $"{teardown.Tray.Sum(t => t.Count)} screws, {teardown.Flips} {(teardown.Flips == 1 ? "flip" : "flips")}",
            false,
            steps
        );
    }

    private static WorkStep Step(TeardownStep s, TeardownPlan plan)
    {
        var cell = plan.Tray.FirstOrDefault(c => c.Fasteners.Contains(s.Target));
        List<Fact> facts = [];
        if (s.Driver is not null)
            facts.Add(new(s.Driver, DriverNames.Of(s.Driver)));
        if (s.Action == TeardownAction.Unscrew)
            facts.Add(new($"{s.Count}", s.Count == 1 ? "screw" : "screws"));
        if (cell is not null)
            facts.Add(new(cell.Cell, "tray cell"));
        if (cell?.LengthMm is { } l)
            facts.Add(new(FormattableString.Invariant($"{l:0.#} mm"), "long"));
        return new()
        {
            Id = $"teardown.{s.Target}",
            Station = Station.Teardown,
            Title = s.Action switch
            {
                TeardownAction.Unscrew => $"Take out {s.Count} {(s.Count == 1 ? "screw" : "screws")}, group {s.Target}",
                TeardownAction.Unplug => $"Unplug the {s.Name}",
                _ => $"Lift the {s.Name}",
            },
            Detail = s.Why,
            Caution = s.Advice.Count > 0 ? string.Join(" ", s.Advice) : null,
            Done = s.Action switch
            {
                TeardownAction.Unscrew => $"{s.Count} in the tray",
                TeardownAction.Unplug => "Unplugged and marked",
                _ => $"Lift the {s.Name}",
            },
            Face = s.Face,
            Targets = [s.Target],
            Driver = s.Driver,
            Count = s.Action == TeardownAction.Unscrew ? s.Count : null,
            Facts = facts,
            Locks = [.. s.Locks.Select(id => $"teardown.{id}")],
        };
    }
}
