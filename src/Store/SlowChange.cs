namespace FaithfulBracket.Store;

/// <summary>A change of the shop's file that took long.</summary>
/// <param name="What">Which one: where in the store it is made.</param>
/// <param name="Waited">Until it was its turn.</param>
/// <param name="Worked">From there until all was written.</param>
/// <param name="Committed">Until the disk had it.</param>
public sealed record SlowChange(string What, TimeSpan Waited, TimeSpan Worked, TimeSpan Committed)
{
    /// <summary>What counts as long.</summary>
    public static TimeSpan From { get; } = TimeSpan.FromSeconds(1);
}
