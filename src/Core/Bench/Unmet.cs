namespace FaithfulBracket.Core.Bench;

/// <summary>Why an act cannot be done as things are. Where several fail, the first of this list answers.</summary>
public enum NeedCode
{
    /// <summary>There is no such thing here, it is gone, or the verb is not done to things of its kind.</summary>
    NotThere,

    /// <summary>It is done already.</summary>
    Already,

    /// <summary>The power is on.</summary>
    Powered,

    /// <summary>Coolant would run out.</summary>
    Wet,

    /// <summary>Something else comes first.</summary>
    Order,

    /// <summary>It is on the face that is down.</summary>
    Reach,

    /// <summary>Something lies over it.</summary>
    Covered,

    /// <summary>Screws are still in.</summary>
    Held,

    /// <summary>A lead or ribbon still ties it.</summary>
    Tied,

    /// <summary>More than two hands would be needed.</summary>
    Hands,

    /// <summary>Something would fall off.</summary>
    Falls,

    /// <summary>A protective film is still on.</summary>
    FilmsOn,

    /// <summary>A face is not clean.</summary>
    Dirty,

    /// <summary>A face has neither pad nor paste.</summary>
    Bare,

    /// <summary>The loop is not tight or not filled.</summary>
    DryLoop,

    /// <summary>Something that was opened has no fate yet.</summary>
    LooseEnd,

    /// <summary>A hot part has no cooler.</summary>
    Uncovered,
}

/// <param name="Things">What stands in the way.</param>
public sealed record Unmet(NeedCode Code, IReadOnlyList<ThingId> Things);

/// <summary>The first act of a walk that cannot be done.</summary>
/// <param name="Step">Index of the step; one past the last where something is still open at the end.</param>
/// <param name="Act">Index of the act within the step.</param>
public sealed record Contradiction(int Step, int Act, Unmet Unmet);
