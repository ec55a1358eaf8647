namespace FaithfulBracket.Server.Words.Events;

/// <summary>Sentences of sending events.</summary>
internal static class EventSenderWords
{
    public static string Answered(int status) => $"answered {status}";

    public static string NotReached(HttpRequestError why) =>
        why switch
        {
            HttpRequestError.NameResolutionError => "not reached: no such name",
            HttpRequestError.ConnectionError => "not reached: nobody answers there",
            HttpRequestError.SecureConnectionError => "not reached: its certificate is not trusted",
            _ => "not reached",
        };

    public static string NoAnswerWithin(int seconds) => $"no answer within {seconds} s";
}
