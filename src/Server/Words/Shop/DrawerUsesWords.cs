namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of drawer uses.</summary>
internal static class DrawerUsesWords
{
    public static string DrawerHasNoThatIsCounted(string kind, string take) =>
        $"The drawer has no {kind} \"{take}\" that is counted.";

    public static string CountedInWholeOnes(string line) => $"{line}: counted in whole ones.";
}
