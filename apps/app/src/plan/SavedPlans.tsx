/** Saved plans: this one under a name, the others to open, duplicate, rename or delete. */
import type { Request } from '@ostrin/core';
import { shortened } from '@ostrin/core/quantity';
import { countWords } from '@ostrin/wording';
import type { SavedPlan, PitRecord } from '@ostrin/contract/types';
import Star from 'lucide-react-native/icons/star';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { v4 as newId } from 'uuid';
import { useSavePlan, useSavedPlans, useDeletePlan } from '../api/queries';
import { titleOf } from '../store/names';
import { movedToComingWeek, draftOf } from '../store/request';
import { usePlanDraft } from '../store/planDraft';
import { Button } from '../ui/Button';
import { FormSheet, wordsField } from '../ui/FormSheet';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { useTheme } from '../ui/theme';
import { useTick } from '../ui/useTick';
import { dayOf } from '../ui/words';
import { Paragraph } from '../ui/Text';

interface Props {
  /** The plan on the page, as a request. */
  request: Request;
  yard: readonly PitRecord[];
  onClose: () => void;
}

const MOST_LETTERS = 60;

/** What is being named: the plan on the page, or a saved one. */
type Naming = { id: string; first: string; favourite: boolean; request: Request } | null;

export function SavedPlans({ request, yard, onClose }: Props) {
  const saved = useSavedPlans();
  const save = useSavePlan();
  const remove = useDeletePlan();
  const { open: openSaved, clear, calendarKey } = usePlanDraft();
  const [naming, setNaming] = useState<Naming>(null);
  const now = useTick(60_000);
  if (naming) {
    const { id, first, favourite } = naming;
    return (
      <FormSheet
        title="Name"
        fields={[wordsField('Name', MOST_LETTERS, { first, testID: 'plan-name' })]}
        save="Save"
        saveID="plan-save"
        onSave={({ text }) => {
          save.mutate({ id, name: text!, favourite, request: naming.request });
          setNaming(null);
        }}
        onClose={() => setNaming(null)}
      />
    );
  }
  const open = (plan: SavedPlan): void => {
    openSaved(plan.id, movedToComingWeek(draftOf(plan.request, yard), now));
    onClose();
  };
  const opened = saved.data?.find((plan) => plan.id === calendarKey);
  const failure = saved.error ?? save.error ?? remove.error;
  return (
    <Sheet title="Saved plans" onClose={onClose}>
      {failure ? (
        <Notice tone="warn" title="That did not work">
          {failure.message}
        </Notice>
      ) : null}
      {opened ? (
        <Button
          kind="primary"
          label={`Update “${opened.name}”`}
          testID="plan-update"
          onPress={() => save.mutate({ ...opened, request }, { onSuccess: onClose })}
        />
      ) : null}
      <Button
        kind={opened ? 'plain' : 'primary'}
        label={
          opened ? 'Save the plan on the page under another name' : 'Save the plan on the page'
        }
        onPress={() =>
          setNaming({
            id: opened ? newId() : calendarKey,
            first: shortened(titleOf({ request }), MOST_LETTERS),
            favourite: false,
            request,
          })
        }
      />
      <Button
        label="Start a new plan"
        onPress={() => {
          clear();
          onClose();
        }}
      />
      {saved.data?.length === 0 ? (
        <Paragraph>
          Nothing is saved yet. A saved plan is opened for the coming week, and worked out anew for
          the pit as it is known by then.
        </Paragraph>
      ) : null}
      {saved.data?.map((plan) => (
        <SavedPlanRow
          key={plan.id}
          plan={plan}
          onOpen={() => open(plan)}
          onStar={() => save.mutate({ ...plan, favourite: !plan.favourite })}
          onDouble={() =>
            save.mutate({
              ...plan,
              id: newId(),
              name: shortened(`${plan.name}, again`, MOST_LETTERS),
            })
          }
          onRename={() => setNaming({ ...plan, first: plan.name })}
          onDelete={() => remove.mutate(plan.id)}
        />
      ))}
    </Sheet>
  );
}

interface SavedPlanRowProps {
  plan: SavedPlan;
  onOpen: () => void;
  onStar: () => void;
  onDouble: () => void;
  onRename: () => void;
  onDelete: () => void;
}

function SavedPlanRow({ plan, onOpen, onStar, onDouble, onRename, onDelete }: SavedPlanRowProps) {
  const theme = useTheme();
  const [sure, setSure] = useState(false);
  const { people, serveAt } = plan.request;
  return (
    <View className="border-t border-rule pt-3 gap-2" testID="saved-plan">
      <View className="flex-row items-center gap-2">
        <View className="flex-1">
          <Text className="font-slab-semi text-ink text-[19px]">{plan.name}</Text>
          <Text className="font-sans text-soot text-[14px]">
            {`${countWords(people, 'person', 'people')}, planned for ${dayOf(serveAt)}`}
          </Text>
        </View>
        <Pressable
          role="checkbox"
          aria-checked={plan.favourite}
          accessibilityLabel={`${plan.name} is a favourite`}
          onPress={onStar}
          className="h-12 w-12 items-center justify-center"
        >
          <Star color={theme.ink} fill={plan.favourite ? theme.ink : 'none'} size={24} />
        </Pressable>
      </View>
      <Button label="Open" accessibilityLabel={`Open ${plan.name}`} onPress={onOpen} />
      <View className="flex-row gap-2">
        <Button grow label="Duplicate" onPress={onDouble} />
        <Button grow label="Rename" onPress={onRename} />
        <Button
          grow
          label={sure ? 'Delete' : 'Delete'}
          onPress={() => (sure ? onDelete() : setSure(true))}
        />
      </View>
    </View>
  );
}
