namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of calendar endpoints.</summary>
internal static class CalendarEndpointsWords
{
    public const string NoCalendarHere =
        "There is no calendar at this address. Copy it again from Settings on the workshop's own machine.";
}
