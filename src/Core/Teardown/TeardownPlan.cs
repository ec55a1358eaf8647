using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Teardown;

public enum TeardownAction
{
    Unscrew,
    Unplug,
    Lift,
}

/// <summary>One step of taking the stock assembly apart.</summary>
/// <param name="Target">Id of the fastener group, lead or piece.</param>
/// <param name="Driver">Driver tip; null where none is needed.</param>
/// <param name="Count">Screws to count out; 1 for leads and pieces.</param>
/// <param name="Why">Why it comes now.</param>
/// <param name="Locks">What must be counted out or marked before this lift; empty otherwise.</param>
/// <param name="Advice">How to free what is bonded, in sentences.</param>
public sealed record TeardownStep(
    TeardownAction Action,
    string Target,
    string Name,
    string? Driver,
    Face Face,
    int Count,
    Message Why,
    IReadOnlyList<string> Locks,
    IReadOnlyList<Message> Advice
);

/// <summary>A cell of the tray: one driver, thread and length only.</summary>
public sealed record TrayCell(
    string Cell,
    string Driver,
    string? Thread,
    double? LengthMm,
    int Count,
    IReadOnlyList<string> Fasteners
);

public enum RestoreAction
{
    Fasten,
    Plug,
    Set,
}

/// <summary>One step of putting the stock cooler back.</summary>
public sealed record RestoreStep(
    RestoreAction Action,
    string Target,
    string Name,
    string? Driver,
    Face Face,
    int Count,
    string? Cell
);

/// <param name="Flips">Changes of face between steps; the first face costs nothing.</param>
/// <param name="DriverChanges">Changes of driver; the first driver costs nothing, leads and lifts need none.</param>
/// <param name="Proven">Whether the order is proven to have the fewest flips, then the fewest driver changes.</param>
public sealed record TeardownPlan(
    IReadOnlyList<TeardownStep> Steps,
    int Flips,
    int DriverChanges,
    bool Proven,
    IReadOnlyList<TrayCell> Tray,
    IReadOnlyList<RestoreStep> Restore
);
