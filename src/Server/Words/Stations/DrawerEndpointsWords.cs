namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of drawer endpoints.</summary>
internal static class DrawerEndpointsWords
{
    public static string ExpectedIdOfAddress(string id) => $"Expected the id of the address, \"{id}\".";

    public const string ExpectedLettersDigitsDotsAndDashes = "Expected letters, digits, dots and dashes.";

    public static string DrawerHasNoKind(string kind) =>
        $"The drawer has no kind \"{kind}\": material, pad, paste, screw, tool or consumable.";

    public static string ExpectedDateSuchAsFound(string found) =>
        $"Expected a date such as 2026-11-30, found \"{found}\".";
}
