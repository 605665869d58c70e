import { useNavigate } from "react-router";
import { useStanding } from "../../api/session";
import { useSettings } from "../../parts/settings";
import { Field } from "./FirstLead";
import { OwnPin } from "./OwnPin";
import { TextInput } from "../../parts/TextInput";

/** One's own PIN, and what this device is called on the record. */
export default function Me() {
  const who = useStanding().session?.initials ?? "";
  const { device, setDevice } = useSettings();
  const go = useNavigate();
  return (
    <main className="grid flex-1 grid-cols-2 max-[900px]:grid-cols-1">
      <OwnPin due={false} who={who} done={() => void go(-1)} />
      <section className="border-l border-line px-5 py-12" aria-label="This device">
        <h2 className="pb-5 text-head leading-9 font-[680]">This device</h2>
        <Field
          label="What it is called"
          say="stands beside your initials on the record, from the next sign-in on"
          fault={undefined}
        >
          <TextInput
            of="SignInQuestion.device"
            className="field max-w-[320px]"
            placeholder="bench 2"

            typed={device}
            onType={setDevice}
          />
        </Field>
      </section>
    </main>
  );
}
