namespace FaithfulBracket.Core.Orders;

/// <summary>Who signs: bench initials.</summary>
public static class Signer
{
    /// <summary>Most letters of bench initials.</summary>
    public const int MostLetters = 4;

    public static bool IsGood(string? by) => by is { Length: >= 1 and <= MostLetters } && by.All(char.IsLetter);

    /// <summary>What is wrong with initials that are not good.</summary>
    public const string Expected = "Sign with one to four letters.";

    /// <summary>Inks of a stamp, by name.</summary>
    public static IReadOnlyList<string> Colours { get; } = ["ink", "copper", "cool", "amber", "plum"];
}
