import { useCallback, useEffect } from "react";

/** Whether this browser can read aloud. */
export const canSpeak = (): boolean => "speechSynthesis" in window;

function say(words: string) {
  if (!canSpeak()) return;
  window.speechSynthesis.cancel();
  const speech = new SpeechSynthesisUtterance(words);
  speech.lang = "en-GB";
  speech.rate = 0.95;
  window.speechSynthesis.speak(speech);
}

/** Reads the words aloud when they change, where that is asked for; and again when asked again. */
export function useAloud(words: string, on: boolean): () => void {
  useEffect(() => {
    if (on) say(words);
    return () => {
      if (on && canSpeak()) window.speechSynthesis.cancel();
    };
  }, [words, on]);
  return useCallback(() => say(words), [words]);
}
