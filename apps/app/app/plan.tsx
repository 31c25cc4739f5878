import { Redirect } from 'expo-router';

/** The plan is the first page; who writes its name finds it too. */
export default function PlanRoute() {
  return <Redirect href="/" />;
}
