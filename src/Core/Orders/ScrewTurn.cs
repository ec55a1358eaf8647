namespace FaithfulBracket.Core.Orders;

/// <summary>One screw, nut, stud or bolt inside a pass.</summary>
/// <param name="Hole">Id of its hole.</param>
/// <param name="Number">Its place in the order of the whole ring, from 1.</param>
/// <param name="Thing">What it is called: screw, nut, stud or bolt.</param>
/// <param name="Where">Where it is, as seen from the face that is up.</param>
/// <param name="HowFar">How far it is turned, in words.</param>
public sealed record ScrewTurn(string Hole, int Number, string Thing, string Where, string HowFar)
{
    public string? Driver { get; init; }

    /// <summary>What a torque driver should show; null where it was not calculated.</summary>
    public TurnTarget? Target { get; init; }

    /// <summary>Figures of this one: its pull afterwards, the tilt.</summary>
    public IReadOnlyList<Fact> Facts { get; init; } = [];

    /// <summary>What can break at this one; null where the pass says it all.</summary>
    public string? Caution { get; init; }

    /// <summary>Whether it is home afterwards, and turned no further.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool Home { get; init; }
}
