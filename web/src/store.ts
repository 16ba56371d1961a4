import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { baseApi } from './api/base-api.ts';
import { connectionReducer } from './kept/connection-slice.ts';
import { plannerReducer } from './plans/draft/planner-slice.ts';
import { keepSettings, settingsReducer } from './settings/settings-slice.ts';

export const store = configureStore({
  reducer: { api: baseApi.reducer, connection: connectionReducer, settings: settingsReducer, planner: plannerReducer },
  middleware: (defaults) => defaults().concat(baseApi.middleware),
});
let kept = store.getState().settings;
store.subscribe(() => {
  const { settings } = store.getState();
  if (settings === kept) return;
  kept = settings;
  keepSettings(settings);
});

export type RootState = ReturnType<typeof store.getState>;
export type AppDispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppStore = useStore.withTypes<typeof store>();
export const useAppSelector = useSelector.withTypes<RootState>();
