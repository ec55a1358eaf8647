namespace FaithfulBracket.Core.Words;

/// <summary>How the parts of a step are put together.</summary>
internal static class StepSentences
{
    public static Message FirstThen(Message first, Message title) => $"{first}. {title}";
}
