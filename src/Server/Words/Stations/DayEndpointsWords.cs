namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of day endpoints.</summary>
internal static class DayEndpointsWords
{
    public static string SignsNothingInThisShop(string initials) => $"\"{initials}\" signs nothing in this shop.";

    public const string ExpectedTimeWithinTwoYearsSuch = "Expected a time within two years, such as 2026-01-31T16:40.";
}
