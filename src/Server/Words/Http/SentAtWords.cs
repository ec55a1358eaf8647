namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of sent at.</summary>
internal static class SentAtWords
{
    public const string ExpectedInstantWithZoneSuch =
        "Expected an instant with its zone, such as 2026-01-31T10:20:30Z.";

    public static string ExpectedInstantBetweenOpeningOfJob(string opened, string now) =>
        $"Expected an instant between the opening of the job ({opened}) and now ({now}). Check the device's clock.";

    public const string ExpectedWhatDevicesClockSaidSuch =
        "Expected what the device's clock said, such as 2026-01-31T10:20:30Z.";
}
